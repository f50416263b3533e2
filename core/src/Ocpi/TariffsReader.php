<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\FileKind;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Json\RealDay;
use Harmozon\Core\Words\Message;

/**
 * Reads prices from Tariffs of the Open Charge Point Interface 2.2.1, with VAT as the driver pays it. A price that holds
 * only at certain hours or under other conditions stays unknown, and is named: an outlet has one price.
 */
final class TariffsReader
{
    /** Of one file. */
    private const MOST_TARIFFS = 5000;

    /** A CiString of OCPI 2.2.1. */
    private const LONGEST_ID = 36;

    /** Decimal places of a price, as a plate holds them. */
    private const SCALE = 6;

    /** A JSON number or a decimal as text, never negative. */
    private const AMOUNT = '/^\d{1,9}(\.\d{1,20})?(E-\d{1,2})?$/D';

    /** Restrictions that our tariff can represent: a price per minute by power. */
    private const BY_POWER = ['min_power', 'max_power'];

    /** Tariffs for customers of a contract with its own prices: they are not the price shown at the charger. */
    private const NOT_FOR_EVERYONE = ['PROFILE_CHEAP', 'PROFILE_FAST', 'PROFILE_GREEN'];

    /** @var list<Message> */
    private array $leftOpen = [];

    private function __construct(private readonly \DateTimeImmutable $now)
    {
    }

    /** @throws FieldError when the document is no list of Tariffs, or a price in it can't be one */
    public static function read(string $json, \DateTimeImmutable $now): TariffsFile
    {
        $list = OcpiDocument::list($json, 'tariffs', FileKind::Tariffs, 'elements', Message::of('field.tariffs'));
        $reader = new self($now);
        $prices = [];
        foreach (Node::of(['tariffs' => $list])->list('tariffs', self::MOST_TARIFFS) as $i => $tariff) {
            $tariff = Node::of($tariff, "tariffs[{$i}]");
            $id = $tariff->textOrNull('id', self::LONGEST_ID) ?? throw $tariff->fail('id', Message::of('field.required'));
            $country = $tariff->textOrNull('country_code') ?? '';
            $key = TariffsFile::key($country === '' ? '' : $country.'*'.($tariff->textOrNull('party_id') ?? ''), $id);
            $price = $reader->tariff($tariff, $id);
            if (isset($prices[$key])) {
                $reader->leftOpen[] = Message::of('ocpi.tariff_twice', tariff: $id);
            } elseif ($price !== null) {
                $prices[$key] = $price;
            }
        }

        return new TariffsFile($prices, $reader->leftOpen);
    }

    /** @return array<string, mixed>|null in the words of the case file; null where it is not for everyone, or not for today */
    private function tariff(Node $tariff, string $id): ?array
    {
        $offers = self::offers($tariff);
        $problem = match (true) {
            in_array($tariff->textOrNull('type'), self::NOT_FOR_EVERYONE, true) => Message::of('ocpi.tariff_profile', tariff: $id),
            ! $this->isValid($tariff) => Message::of('ocpi.tariff_not_valid', tariff: $id),
            // The interface wants at least one: a tariff without any says nothing, not that charging is free.
            $offers === [] => Message::of('ocpi.tariff_empty', tariff: $id),
            default => null,
        };
        if ($problem !== null) {
            $this->leftOpen[] = $problem;

            return null;
        }
        if ($tariff->has('min_price') || $tariff->has('max_price')) {
            $this->leftOpen[] = Message::of('ocpi.tariff_bounds', tariff: $id);
        }
        $price = ['currency' => $tariff->currency('currency'), 'idle_grace_minutes' => null];
        foreach (TariffPart::cases() as $part) {
            $of = $offers[$part->value] ?? [];
            $this->tellSteps($part, $of, $id);
            $price = [...$price, ...$this->part($part, $of, $id)];
        }

        return $price;
    }

    private function isValid(Node $tariff): bool
    {
        [$start, $end] = [self::moment($tariff, 'start_date_time'), self::moment($tariff, 'end_date_time')];

        return ($start === null || $start <= $this->now) && ($end === null || $this->now < $end);
    }

    private static function moment(Node $tariff, string $key): ?\DateTimeImmutable
    {
        $text = $tariff->textOrNull($key, 40);
        try {
            $moment = $text === null ? null : new \DateTimeImmutable($text, new \DateTimeZone('UTC'));
        } catch (\Exception) {
            $moment = null;
        }

        return $text === null || ($moment !== null && RealDay::opens($text)) ? $moment : throw $tariff->fail($key, Message::of('field.moment'));
    }

    /**
     * The prices of each part in the file's order: the first whose conditions apply counts. Reservation prices are left
     * out.
     *
     * @return array<string, list<array{Node, Node|null}>> the component and its conditions, by part
     */
    private static function offers(Node $tariff): array
    {
        $offers = [];
        foreach ($tariff->objects('elements') as $element) {
            $restrictions = $element->objectOrNull('restrictions');
            $isFree = $restrictions === null || array_filter($restrictions->fields(), static fn (mixed $v): bool => $v !== null && $v !== []) === [];
            if ($restrictions?->has('reservation') === true) {
                continue;
            }
            foreach ($element->objects('price_components') as $component) {
                $part = $component->choice('type', TariffPart::class) ?? throw $component->fail('type', Message::of('field.required'));
                $offers[$part->value][] = [$component, $isFree ? null : $restrictions];
            }
        }

        return $offers;
    }

    /**
     * @param  list<array{Node, Node|null}>  $offers
     * @return array<string, mixed>
     */
    private function part(TariffPart $part, array $offers, string $id): array
    {
        // What a tariff has no component for is not charged for, says the interface.
        if ($offers === []) {
            return [$part->field() => '0'];
        }
        if ($offers[0][1] === null) {
            return [$part->field() => self::price($offers[0][0], $part)];
        }
        if ($part === TariffPart::Time && self::areByPower($offers)) {
            return self::minuteBands($offers);
        }
        $this->leftOpen[] = Message::of('ocpi.tariff_depends', tariff: $id, part: $part->message());

        return [$part->field() => null];
    }

    /** @param  list<array{Node, Node|null}>  $offers */
    private static function areByPower(array $offers): bool
    {
        foreach ($offers as [, $when]) {
            $conditions = array_filter($when?->fields() ?? [], static fn (mixed $v): bool => $v !== null && $v !== []);
            if (array_diff(array_keys($conditions), self::BY_POWER) !== []) {
                return false;
            }
        }

        return true;
    }

    /**
     * For each power at which the price may change, the first price that applies; where none applies, a minute is free.
     *
     * @param  list<array{Node, Node|null}>  $offers
     * @return array<string, mixed>
     */
    private static function minuteBands(array $offers): array
    {
        $spans = array_map(static fn (array $o): array => [$o[1]?->number('min_power', Range::curveKw()), $o[1]?->number('max_power', Range::curveKw())], $offers);
        $turns = array_unique([0.0, ...array_filter(array_merge(...$spans), static fn (?float $kw): bool => $kw !== null)]);
        sort($turns);
        $bands = [];
        foreach ($turns as $kw) {
            $price = '0';
            foreach ($spans as $i => [$from, $to]) {
                if (($from === null || $kw >= $from) && ($to === null || $kw < $to)) {
                    $price = self::price($offers[$i][0], TariffPart::Time);

                    break;
                }
            }
            if ($bands === [] || end($bands)['per_minute'] !== $price) {
                $bands[] = ['from_kw' => $kw, 'per_minute' => $price];
            }
        }

        return count($bands) === 1 ? ['per_minute' => $bands[0]['per_minute']] : ['per_minute' => null, 'minute_bands' => $bands];
    }

    private static function price(Node $component, TariffPart $part): string
    {
        $price = self::amount($component);
        $vat = BigDecimal::of((string) ($component->number('vat', Range::ofHundred()) ?? 0));
        $paid = $price->multipliedBy($vat->plus(100))->dividedBy(100 * $part->pricedUnitsPerOurs(), self::SCALE, RoundingMode::HALF_UP);

        return (string) $paid->stripTrailingZeros();
    }

    /** As exact as the file has it: a price without VAT may have more decimals than one that is printed. */
    private static function amount(Node $component): BigDecimal
    {
        $value = $component->raw('price') ?? throw $component->fail('price', Message::of('field.required'));
        $text = is_int($value) || is_float($value) ? (string) $value : $value;
        if (! is_string($text) || preg_match(self::AMOUNT, $text) !== 1) {
            throw $component->fail('price', Message::of('field.expected_money'));
        }

        return BigDecimal::of($text);
    }

    /** @param  list<array{Node, Node|null}>  $offers */
    private function tellSteps(TariffPart $part, array $offers, string $id): void
    {
        foreach ($offers as [$component]) {
            if (($component->wholeNumber('step_size', 0, PHP_INT_MAX) ?? 0) > $part->largestSilentStep()) {
                $this->leftOpen[] = Message::of('ocpi.tariff_steps', tariff: $id, part: $part->message());

                return;
            }
        }
    }
}
