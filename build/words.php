<?php

declare(strict_types=1);

/*
 * Prints every pattern that a person may read, with example values, as one page:  php build/words.php >docs/words.html
 * In another language:  php build/words.php de >words.html  (what stands for a placeholder is German where a sentence hangs on it)
 * Meant to be read from top to bottom, aloud. Where a pattern counts, it is shown with none, one, two and many; where it
 * names things, with one name, a name with an apostrophe, and a long list.
 */

use Harmozon\Core\Words\Language;
use Tests\EveryWord;

require __DIR__.'/../vendor/autoload.php';

const COUNTS = [0, 1, 2, 1_200];

/** Figures by the name of their placeholder; a list gives one example for each of the values. */
const FIGURES = [
    'adapter' => ['A1', "Ida's adapter"], 'vehicle' => ['Brindle', "Ida's car"], 'car' => ['Brindle', "Ida's car"], 'outlet' => ['Fernway 350', "Ida's socket"], 'name' => ['Brindle', "Ida's car"],
    'names' => ['Birch', 'Birch, Cedar, Elm and the car that Ida drives on Sundays'], 'adapters' => ['A1', 'A1, A3 and P2'], 'stalls' => ['3', '1, 2, 7B and 12'],
    'garage' => ['The Lanternfish Puppet Company', "Ida's garage"], 'network' => ['Millrace'], 'programme' => ['Fernway'], 'makes' => ['Marten and Wren'], 'station' => ['Fernway 350'],
    'link' => ['A1', "Brindle's battery"], 'piece' => ['A1'], 'pieces' => ['A1 and P2'], 'point' => ['handle'], 'points' => ['Handle and adapter'], 'stall' => ['7B'], 'place' => ['Sluice wharf'],
    'facts' => ["the station's maximum voltage", "the station's maximum voltage and who may start a session here"], 'fact' => ["the station's maximum voltage"],
    'binding' => ["the adapter's current rating", 'the cold battery', 'a neighbour on the same cabinet'], 'cause' => ['a derated stall', "the car's charge curve"],
    'minutes' => ['12 min'], 'seconds' => ['40 s'], 'hours' => ['3 h'], 'time' => ['12:40'], 'day' => ['Nov 3, 2026'], 'hour' => ['10:09 AM'], 'days' => ['30'], 'months' => ['14'],
    'kw' => ['158 kW', '?'], 'kwh' => ['33.4 kWh'], 'amps' => ['300 A'], 'volts' => ['752 V'], 'continuous' => ['300 A'], 'boost' => ['500 A'], 'rated' => ['500 V'], 'limit' => ['300 A'], 'peak' => ['470 A'],
    'ceiling' => ['500 V'], 'floor' => ['150 V'], 'pack' => ['697 V'], 'half' => ['348 V'], 'start' => ['300 V'], 'target' => ['390 V'], 'supply' => ['208 V'], 'starts' => ['85 V'], 'input' => ['400 V'],
    'soc' => ['80 %'], 'percent' => ['34 %'], 'share' => ['94 %', '101 %'], 'theta' => ['141 %'], 'from' => ['13 %'], 'to' => ['72 %'], 'reserve' => ['10 %'], 'celsius' => ['67 °C'], 'rise' => ['35 K'],
    'price' => ['17.68 USD'], 'energy' => ['44.2 kWh'], 'km' => ['180 km'], 'fee' => ['0.40 USD'], 'paid' => ['12.00 USD'], 'tariff' => ['10.40 USD'], 'currency' => ['EUR'],
    'language' => ['power-line communication'], 'languages' => ['power-line communication'], 'coupler' => ['ccs1'], 'connector' => ['ccs1'], 'inlet' => ['j3400'], 'standard' => ['SAE J1772'],
    'outcome' => ['charges, limited', "fits, won't charge", 'do not connect'], 'why' => ['Limited by the cold battery.'], 'reason' => ['A1 is damaged.'], 'verdict' => ['within all ratings'],
    'with' => ['33 °C'], 'without' => ['14 °C'], 'difference' => ['19 K'], 'field' => ['Amps'], 'value' => ['9,000'], 'least' => ['0'], 'most' => ['2,000'], 'unit' => ['A'], 'email' => ['ida@wren.example'],
    'quantity' => ['current'], 'quantities' => ['voltage and current'], 'kind' => ['text'], 'role' => ['driver', 'viewer'], 'act' => ['record sessions'], 'event' => ['plugged in'], 'words' => ['plugged in'],
    'where' => ['stall 7B'], 'parts' => ['the price per minute and the session fee'], 'certification' => ['not certified'], 'estimated' => ['yes', 'no'], 'about' => ['yes', 'no'],
];

/** What stands for a placeholder in another language, where it is more than a name or a figure. */
const SPOKEN = ['de' => [
    'names' => ['Birch', 'Birch, Cedar, Elm und das Auto, das Ida sonntags fährt'], 'adapters' => ['A1', 'A1, A3 und P2'], 'stalls' => ['3', '1, 2, 7B und 12'], 'pieces' => ['A1 und P2'],
    'point' => ['Griff'], 'points' => ['Griff und Adapter'], 'place' => ['Sluice wharf'], 'facts' => ['die Höchstspannung der Station', 'die Höchstspannung der Station und wer hier laden darf'],
    'fact' => ['die Höchstspannung der Station'], 'binding' => ['der Strom des Adapters', 'die kalte Batterie', 'ein Nachbar am selben Schrank'], 'cause' => ['ein gedrosselter Ladeplatz', 'die Ladekurve des Autos'],
    'months' => ['14'], 'day' => ['3. Nov. 2026'], 'hour' => ['10:09'], 'language' => ['Powerline-Kommunikation'], 'languages' => ['Powerline-Kommunikation'],
    'outcome' => ['lädt, begrenzt', 'passt, lädt nicht', 'nicht anschließen'], 'why' => ['Begrenzt durch die kalte Batterie.'], 'reason' => ['A1 ist beschädigt.'], 'verdict' => ['innerhalb aller Nennwerte'],
    'field' => ['Strom'], 'value' => ['9.000'], 'most' => ['2.000'], 'quantity' => ['Strom'], 'quantities' => ['Spannung und Strom'], 'kind' => ['Text'], 'role' => ['fahren', 'ansehen'], 'act' => ['Ladevorgänge aufzeichnen'],
    'event' => ['eingesteckt'], 'words' => ['eingesteckt'], 'where' => ['Ladeplatz 7B'], 'parts' => ['der Preis je Minute und die Startgebühr'], 'certification' => ['nicht zertifiziert'],
]];

/** @return list<list<string|int>> sets of values, one for each example */
function examples(string $pattern): array
{
    $names = Language::placeholders($pattern);
    $choices = array_map(static function (string $name) use ($pattern): array {
        return preg_match('/\{\s*'.$name.',\s*(?:plural|number)/', $pattern) === 1 ? COUNTS : SPOKEN[language()][lcfirst($name)] ?? FIGURES[lcfirst($name)] ?? ["‹{$name}›"];
    }, $names);
    $sets = [];
    for ($i = 0, $most = max([1, ...array_map(count(...), $choices)]); $i < $most; $i++) {
        $sets[] = array_combine($names, array_map(static fn (array $c, string $name): string|int => begun($c[min($i, count($c) - 1)], $name), $choices, $names));
    }

    return $sets;
}

function language(): string
{
    return $GLOBALS['argv'][1] ?? 'en';
}

function begun(string|int $value, string $name): string|int
{
    return is_string($value) && lcfirst($name) !== $name ? mb_strtoupper(mb_substr($value, 0, 1)).mb_substr($value, 1) : $value;
}

/** @return list<string> */
function said(string $pattern): array
{
    $formatter = MessageFormatter::create(language() === 'en' ? 'en-GB' : language(), $pattern) ?? throw new LogicException("cannot be read: {$pattern}");

    return array_values(array_unique(array_map(static fn (array $values): string => (string) $formatter->format($values), examples($pattern))));
}

if (preg_match('/^[a-z]{2}$/', language()) !== 1 || ! is_file(__DIR__.'/../app/Words/'.language().'.php')) {
    fwrite(STDERR, 'no words in "'.language()."\"\n");
    exit(2);
}
$e = static fn (string $text): string => htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE);
echo "<!doctype html>\n<html lang=\"".language()."\">\n<meta charset=\"utf-8\">\n<title>Every word of Harmozon</title>\n";
echo "<style>body{max-width:60rem;margin:2rem auto;font:1rem/1.4 sans-serif;padding:0 1rem}dt{color:#666;font:.8rem monospace;margin-top:.8rem}dd{margin:.1rem 0 0;white-space:pre-wrap}</style>\n";
echo "<h1>Every word of Harmozon</h1>\n<p>Each message with example values. Made by build/words.php.</p>\n";
foreach (EveryWord::rooms(language()) as $room => $patterns) {
    echo '<h2>'.$e($room)."</h2>\n<dl>\n";
    foreach ($patterns as $code => $pattern) {
        echo '<dt>'.$e($code)."</dt>\n";
        foreach (said($pattern) as $text) {
            echo '<dd>'.$e($text)."</dd>\n";
        }
    }
    echo "</dl>\n";
}
