<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\CsvRecords;
use Harmozon\Core\Readings\Layout;
use Harmozon\Core\Readings\ReadingColumns;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Reads a mapping: which column of a foreign file holds what. */
final class MappingReader
{
    private const LONGEST_FORMAT = 40;

    private const MOST_MARKS = 20;

    /**
     * @param  string  $at  where it stands, for complaints about its fields
     *
     * @throws FieldError
     */
    public function json(string $json, string $at = ''): Mapping
    {
        try {
            return $this->mapping(Node::fromJson($json));
        } catch (FieldError $e) {
            throw FieldError::at(trim("{$at}.{$e->path}", '.'), $e->problem);
        }
    }

    /** @throws FieldError */
    public function mapping(Node $node): Mapping
    {
        $delimiter = $node->raw('delimiter') ?? ',';
        $decimal = $node->raw('decimal') ?? '.';
        if (! is_string($delimiter) || ! in_array($delimiter, CsvRecords::DELIMITERS, true)) {
            throw $node->fail('delimiter', Message::of('mapping.delimiter'));
        }
        if ($decimal !== '.' && $decimal !== ',') {
            throw $node->fail('decimal', Message::of('mapping.decimal'));
        }
        if ($decimal === $delimiter) {
            throw $node->fail('decimal', Message::of('mapping.same_sign'));
        }
        $time = $node->objectOrNull('time');
        $columns = [];
        $entries = $node->object('columns');
        foreach ($entries->keys() as $header) {
            $columns[$header] = $this->column($entries->object($header));
        }
        $fields = array_map(static fn (ColumnMap $c): string => $c->field, $columns);
        if (count(array_unique($fields)) !== count($fields)) {
            throw $node->fail('columns', Message::of('mapping.field_twice'));
        }
        if ($time === null && ! in_array('t_s', $fields, true) && ! in_array('time', $fields, true)) {
            throw $node->fail('time', Message::of('field.required'));
        }

        $thousands = $node->raw('thousands');
        if (! in_array($thousands, [null, '', ' ', "'", '.', ','], true)) {
            throw $node->fail('thousands', Message::of('mapping.thousands'));
        }
        if ($thousands === $decimal) {
            throw $node->fail('thousands', Message::of('mapping.same_sign'));
        }

        return new Mapping(
            $delimiter, $decimal, $node->choice('encoding', Encoding::class) ?? Encoding::Utf8, $columns, $time === null ? null : $this->time($time),
            new Layout($node->wholeNumber('skip_lines', 0, FileHead::LINES - 1) ?? 0, hasUnits: $node->boolOrNull('units_row') ?? false),
            $this->empty($node),
            $thousands,
        );
    }

    /** @return list<string> */
    private function empty(Node $node): array
    {
        $marks = $node->raw('empty') ?? [];
        if (! is_array($marks) || ! array_is_list($marks) || count($marks) > self::MOST_MARKS) {
            throw $node->fail('empty', Message::of('mapping.empty'));
        }
        foreach ($marks as $mark) {
            if (! is_string($mark) || mb_strlen($mark) > self::LONGEST_FORMAT) {
                throw $node->fail('empty', Message::of('mapping.empty'));
            }
        }

        return array_values(array_filter($marks, is_string(...)));
    }

    private function column(Node $node): ColumnMap
    {
        $field = $node->text('field');
        if (! in_array($field, ReadingColumns::fields(), true)) {
            throw $node->fail('field', Message::of('field.none_of', value: '"'.mb_substr($field, 0, Node::LONGEST_QUOTE).'"', known: Listing::comma(ReadingColumns::fields())));
        }
        $unit = $node->choice('unit', ReadingUnit::class);
        if ($unit !== null && ! $unit->fits($field)) {
            throw $node->fail('unit', Message::of('mapping.unit', unit: $unit->value, field: $field));
        }
        $sign = $node->wholeNumber('sign', -1, 1) ?? 1;

        return new ColumnMap($field, $unit, $sign === 0 ? throw $node->fail('sign', Message::of('mapping.sign')) : $sign);
    }

    private function time(Node $node): TimeMap
    {
        $zone = $node->textOrNull('zone', self::LONGEST_FORMAT);
        if ($zone !== null && ! in_array($zone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true)) {
            throw $node->fail('zone', Message::of('mapping.zone'));
        }

        $unit = $node->choice('unit', ReadingUnit::class);
        if ($unit !== null && ! in_array($unit, [ReadingUnit::Seconds, ReadingUnit::MilliSeconds], true)) {
            throw $node->fail('unit', Message::of('mapping.unit', unit: $unit->value, field: 'time'));
        }
        $isMilliseconds = $unit === ReadingUnit::MilliSeconds;

        $both = $node->raw('columns');
        if ($both !== null && (! is_array($both) || ! array_is_list($both) || count($both) !== 2 || ! is_string($both[0]) || ! is_string($both[1]))) {
            throw $node->fail('columns', Message::of('mapping.two_columns'));
        }

        return new TimeMap($both[0] ?? $node->text('column'), $node->textOrNull('format', self::LONGEST_FORMAT) ?? ($unit === null ? null : 'U'), $zone, $isMilliseconds, $both[1] ?? null);
    }
}
