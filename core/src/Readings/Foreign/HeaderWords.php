<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

/**
 * Words that instruments use as column headers, in English, German, French, Spanish, Italian, Dutch, Norwegian,
 * Swedish, Danish, Finnish, Polish and Portuguese. Words for volts, amps and kW come before those for charge: a
 * battery's voltage isn't its charge.
 */
final class HeaderWords
{
    /** Words of each field, the surest first. */
    private const FIELDS = [
        'ambient_c' => '/ambient|outside|outdoor|air.?temp|luft|lucht|aussen|außen|umgebung|ext[ée]rieure?|exterior|esterna|buiten|omgeving|utomhus|utendørs|udendørs|ulko|zewn|otocz/iu',
        'adapter_c' => '/adapt|sovitin/iu',
        'handle_c' => '/handle|plug.?temp|connector.?temp|griff|stecker|poign[ée]e|empuñadura|impugnatura|handgreep|stekker|håndtak|håndtag|handtag|kahva|uchwyt|punho/iu',
        'cable_c' => '/cable.?t|kabel|câble|temp.*cable|cavo|kaapeli|przew[oó]d|temp.*cabo/iu',
        'inlet_c' => '/inlet|port.?temp|buchse/iu',
        'kw' => '/power|leistung|puissance|potencia|potência|potenza|vermogen|effekt|teho|\bmoc\b|\b(?:kw|p)\b/iu',
        'volts' => '/volt|spannung|spanning|spenning|spänning|spænding|jännite|tensi[oó]n|tensione|tensão|napi[ęe]cie|\bu\b|\bv\b/iu',
        'amps' => '/amp|current|strom|stroom|strøm|ström|courant|intensit|intensidad|corriente|corrente|virta|pr[ąa]d\b|\b[ia]\b/iu',
        'soc_pct' => '/\bsoc\b|state.?of.?charge|batt|bateria|batería|akku|accu|ladestand|ladezustand|charge.?level|[ée]tat de charge|niveau de charge|estado de carga|nivel de carga|n[ií]vel de carga|stato di carica|livello di carica|laad(?:niveau|toestand)|ladenivå|laddnivå|laddning|ladeniveau|ladningsniveau|varaus|poziom na[łl]adowania|stan na[łl]adowania|^charge$|\bcharge\s*[\[(]?\s*(?:%|pct|percent)/iu',
    ];

    /** Values of another battery, of one cell or phase, of the drive or of the air: never what flows. */
    private const OTHERS = '/\b12 ?v\b|\bcells?\b|zelle|zellsp|einzelzell|cellule|\bceld|\bcell[ae]\b|kenno|per phase|[jp]e phase|pro phase|par phase|p[oe]r fase|odomet|kilomet|\bkm\b|\bmiles?\b'
        .'|auxil|\baux\.? ?(?:batt|volt|12)|\blv\b|low.?voltage|starter|bordnetz|\bmotor|inverter|wechselrichter|\bdc.?dc\b|heater|heating|heizung|chauff|calef|riscald|verwarm|[ck]ompressor|\bfans?\b|lüfter|\bpump|\bhvac\b|klima|climat'
        .'|health|\bsoh\b|capacit|kapazit|cycles?\b|zyklen|energ|énerg|resist|widerstand|isolat|humid|feucht|throttle|bright|\bduty\b|cost|price|preis|kosten/iu';

    /** What is wanted, allowed or the least and most of many: never what flows. */
    private const WISHES = '/\bmax|(?<![\d(\[])(?<!\d )\bmin(?:imum|imal)?\b|set.?point|\btarget|limit|límite|grenz|\bsoll|consig|request|\bdemand|command|desired|offer|availab|allow|permit|nominal|\brated\b|referenc|expect|estimat'
        .'|anforder|angefordert|verfügbar|erlaubt|zulässig|\bnenn|disponib|solicit|pedid|richiest|gevraagd|beschikbaar|toegestaan|tilgjengelig|tillgänglig|tilgængelig|begär|pyyd|dostępn|żądan/iu';

    /** What is measured elsewhere or told in another way: used only where nothing else holds the field. */
    private const ASIDE = '/peak|spitze|\bac\b|grid|netz|réseau|house|haus|home|maison|solar|\bpv\b|input|eingang|entrée|\bl[23]\b/iu';

    private const TEMPERATURE = '/temp|lämpö|°/iu';

    private const CLOCK = '/^\s*"?(epoch|unix|time|hour|temps|tempo|tiempo|dato|dag|päivä(?:määrä)?|pvm|dzień|dia|día|jour|giorno|timestamp|time_?ms|timestamp_?ms|date|datetime|zeit|uhrzeit|datum|zeitstempel|clock|heure|horodatage|hora|fecha|ora|orario|data|tijd|tijdstip|tid|tidspunkt|klokkeslett|klockslag|aika|kello|kellonaika|czas|godzina)\b/iu';

    private const ELAPSED = '/elapsed|since|laufzeit|dauer|durée|écoulé|duración|transcurrido|durata|trascorso|duur|verstreken|varighe[td]|varaktighet|förfluten|kesto|kulunut|upły|duração|decorrido|duration|seconds?|sekund|minut|^\s*t\s*[\[(_]|^\s*(?-i:t)\s*$/iu';

    private const MINUTES = '/minut/iu';

    /** First words of a summary line at the end of a table: totals, means and extremes. */
    private const TOTALS = '/^(?:(?:grand )?total[se]?|totaal|sum(?:me|ma|a)?|gesamt|somme|suma|i alt|yhteensä|razem|average|mean|mittelwert|durchschnitt|moyenne|media|média|promedio|gemiddelde|gjennomsnitt|genomsnitt|gennemsnit|medel(?:värde)?|keskiarvo|średnia|min(?:imum)?|max(?:imum)?|maximal|maximum|count|anzahl)\b/iu';

    /** @param  list<string>  $cells  of a row that is no reading */
    public static function areTotals(array $cells): bool
    {
        foreach ($cells as $cell) {
            if ($cell !== '' && ! is_numeric($cell)) {
                return preg_match(self::TOTALS, $cell) === 1;
            }
        }

        return false;
    }

    public static function isClock(string $header): bool
    {
        return preg_match(self::CLOCK, $header) === 1;
    }

    public static function isElapsed(string $header): bool
    {
        return preg_match(self::ELAPSED, $header) === 1;
    }

    /** With its words apart: `EVSE_Max_Current`, `PackVoltage`. */
    private static function spaced(string $header): string
    {
        return preg_replace('/_|(?<=\p{Ll}{2})(?=\p{Lu}\p{Ll})/u', ' ', $header) ?? $header;
    }

    /** A first column that is called after its unit alone counts from the first row or from plugging in: `sec`, `min`. */
    public static function isUnitOfTime(string $header): bool
    {
        return ReadingUnit::written($header)?->fits('t_s') === true;
    }

    public static function isOfMinutes(string $header): bool
    {
        return preg_match(self::MINUTES, $header) === 1;
    }

    /** Whether a column holds what flows only if no other does: by its name, or because nothing but its unit is known. */
    public static function isAside(string $header): bool
    {
        $header = self::spaced($header);
        $isNamed = array_filter(self::FIELDS, static fn (string $words): bool => preg_match($words, $header) === 1) !== [];

        return preg_match(self::ASIDE, $header) === 1 || (! $isNamed && ! self::isClock($header) && ! self::isElapsed($header) && ! self::isUnitOfTime($header));
    }

    /**
     * @param  ReadingUnit|null  $unit  that stands in the header
     * @param  list<string>  $taken  fields that another column has
     * @return string|null null where no field fits
     */
    public static function field(string $header, ?ReadingUnit $unit, array $taken): ?string
    {
        $header = self::spaced($header);
        if (preg_match(self::OTHERS, $header) === 1 || preg_match(self::WISHES, $header) === 1) {
            return null;
        }
        $isWarmth = preg_match(self::TEMPERATURE, $header) === 1;
        foreach (self::FIELDS as $field => $words) {
            $fits = $unit?->fits($field) ?? (! $isWarmth || str_ends_with($field, '_c'));
            if (! in_array($field, $taken, true) && $fits && preg_match($words, $header) === 1) {
                return $field;
            }
        }
        if ($isWarmth || $unit === ReadingUnit::MilliVolts) {
            // What a sensor gives off says nothing of the battery.
            return null;
        }
        // A share may be of anything; the others are what a charging session is measured in.
        foreach ($header === '%' ? ['soc_pct'] : ['volts', 'amps', 'kw'] as $field) {
            if ($unit?->fits($field) === true && ! in_array($field, $taken, true)) {
                return $field;
            }
        }

        return null;
    }
}
