<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** Turns messages into words: one language, one set of units. The only place where a sentence with a figure is made. */
final readonly class Voice
{
    private const LONG_MINUTES = 120;

    public function __construct(private Language $language, private Units $units = Units::Metric)
    {
    }

    public function say(Message $message): string
    {
        [$formatter, $placeholders] = $this->language->pattern($message->code);
        $values = [];
        foreach ($placeholders as $placeholder => $name) {
            $figure = $message->figures[$name] ?? throw new \LogicException("the message {$message->code} has no {$name}");
            $values[$placeholder] = match (true) {
                $figure instanceof Amount && $figure->unit === Unit::Count => (int) $figure->value,
                $placeholder !== $name => self::capital($this->part($figure)),
                default => $this->part($figure),
            };
        }
        $said = $formatter->format($values);

        return $said !== false ? $said : throw new \LogicException("the message {$message->code} cannot be said: {$formatter->getErrorMessage()}");
    }

    /** The same where it begins a sentence, or stands alone as a label. */
    public function begin(Message $message): string
    {
        return self::capital($this->say($message));
    }

    /** @param  list<Message>  $messages  whole sentences */
    public function paragraph(array $messages): string
    {
        return $this->part(Listing::spaced($messages));
    }

    /**
     * @param  list<Message>  $messages
     * @return list<string>
     */
    public function each(array $messages): array
    {
        return array_map($this->say(...), $messages);
    }

    public function amount(Amount $amount): string
    {
        $whole = (int) round($amount->value ?? 0.0);
        if ($amount->unit === Unit::Duration && $whole >= self::LONG_MINUTES) {
            return $this->say(Message::of('amount.hours', hours: Amount::count(intdiv($whole, 60)), minutes: Amount::count($whole % 60)));
        }
        [$value, $sign] = $this->units->of($amount);

        return match ($amount->unit) {
            Unit::Money => $this->decimal($amount->exact ?? '').' '.$amount->currency,
            Unit::One, Unit::Count => $this->number($value, $amount),
            Unit::Duration => $this->number($value, $amount).' '.Unit::Minutes->value,
            default => $this->number($value, $amount).' '.$sign,
        };
    }

    private function number(?float $value, Amount $amount): string
    {
        if ($value === null) {
            return '?';
        }
        $decimals = $amount->decimals ?? self::decimalsOf($value);
        $text = number_format($value, $decimals, '.', '');

        return $this->decimal($amount->isTrimmed && $decimals > 0 ? rtrim(rtrim($text, '0'), '.') : $text);
    }

    /** Decimals for six significant digits; none when the integer part has as many. */
    private static function decimalsOf(float $value): int
    {
        return $value === 0.0 ? 0 : max(0, 5 - (int) floor(log10(abs($value))));
    }

    private function decimal(string $text): string
    {
        return str_replace('.', $this->language->decimalSign(), $text);
    }

    private function part(Amount|Message|Listing|string $figure): string
    {
        return match (true) {
            $figure instanceof Message => $this->say($figure),
            $figure instanceof Amount => $this->amount($figure),
            // What came from outside may hold broken characters, on which ICU would refuse the whole sentence.
            is_string($figure) => mb_scrub($figure),
            default => $this->listing($figure),
        };
    }

    /** "Birch", "Birch and Cedar", "Birch, Cedar and Elm". */
    private function listing(Listing $listing): string
    {
        $joint = $this->language->patterns[$listing->joiner->value];
        $parts = array_map($this->part(...), $listing->items);
        if ($listing->joiner !== Joiner::And || count($parts) < 3) {
            return implode($joint, $parts);
        }
        $last = array_pop($parts);

        return implode($this->language->patterns[Joiner::Comma->value], $parts).$joint.$last;
    }

    private static function capital(string $text): string
    {
        return mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }
}
