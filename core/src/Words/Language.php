<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** The patterns of one language by the code of their message, in ICU's message format. `{name}` is a figure of the message, `{Name}` the same at the
 * beginning of a sentence. */
final class Language
{
    /** @var array<string, array{\MessageFormatter, array<string, string>}> formatter, and the figure behind each placeholder */
    private array $ready = [];

    private ?string $decimalSign = null;

    /**
     * @param  string  $locale  BCP 47: the language, and where it is spoken, by which numbers are written
     * @param  array<string, string>  $patterns
     */
    public function __construct(public readonly string $locale, public readonly array $patterns)
    {
    }

    public static function english(): self
    {
        return Languages::words(Languages::FIRST);
    }

    /**
     * The same with the patterns of a program that uses the core.
     *
     * @param  array<string, string>  $patterns
     */
    public function with(array $patterns): self
    {
        return new self($this->locale, [...$this->patterns, ...$patterns]);
    }

    /** The language alone, without where it is spoken. */
    public function tag(): string
    {
        return (string) strtok($this->locale, '-');
    }

    /**
     * The same language with the number format of a place: decimal and thousands separators.
     *
     * @param  string  $place  BCP 47, such as `en-GB`: only its region counts
     */
    public function in(string $place): self
    {
        $region = strrchr($place, '-');
        $locale = $this->tag().($region === false ? '' : $region);

        return $locale === $this->locale ? $this : new self($locale, $this->patterns);
    }

    public function decimalSign(): string
    {
        return $this->decimalSign ??= (string) (new \NumberFormatter($this->locale, \NumberFormatter::DECIMAL))->getSymbol(\NumberFormatter::DECIMAL_SEPARATOR_SYMBOL);
    }

    /**
     * The formatter of a code, and its placeholders. A placeholder with a capital first letter is the figure of that
     * name at the beginning of a sentence.
     *
     * @return array{\MessageFormatter, array<string, string>} figures by placeholder
     */
    public function pattern(string $code): array
    {
        return $this->ready[$code] ??= $this->prepare($code);
    }

    /** @return array{\MessageFormatter, array<string, string>} */
    private function prepare(string $code): array
    {
        $pattern = $this->patterns[$code] ?? throw new \LogicException("no pattern for the message {$code}");
        $formatter = \MessageFormatter::create($this->locale, $pattern) ?? throw new \LogicException("the pattern of {$code} cannot be read");

        return [$formatter, array_combine($names = self::placeholders($pattern), array_map(lcfirst(...), $names))];
    }

    /** @return list<string> */
    public static function placeholders(string $pattern): array
    {
        $withoutQuoted = (string) preg_replace("/'\{[^']*'/", '', $pattern);
        preg_match_all('/\{\s*([A-Za-z][A-Za-z0-9_]*)\s*(?=[,}])/', $withoutQuoted, $found);

        return array_values(array_unique($found[1]));
    }
}
