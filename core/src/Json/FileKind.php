<?php

declare(strict_types=1);

namespace Harmozon\Core\Json;

use Harmozon\Core\Words\Message;

/** Recognises what kind of file this is, so that a wrong one is refused by name. */
enum FileKind: string
{
    case Picture = 'picture';
    case Pdf = 'pdf';
    case Archive = 'archive';
    case Table = 'table';
    case Tariffs = 'tariffs';
    case ChargeRecords = 'charge_records';
    case Locations = 'locations';
    case Garage = 'garage';
    case CaseFile = 'case';
    case Readings = 'readings';

    /** First bytes of binary files. */
    private const BYTES = [
        "\x89PNG" => self::Picture,
        "\xFF\xD8\xFF" => self::Picture,
        'GIF8' => self::Picture,
        '%PDF' => self::Pdf,
        "PK\x03\x04" => self::Archive,
    ];

    /** Keys that only one kind of document has: modules of OCPI 2.2.1 first, then our own. */
    private const KEYS = [
        'elements' => self::Tariffs,
        'charging_periods' => self::ChargeRecords,
        'evses' => self::Locations,
        'sessions' => self::Garage,
        'vehicle' => self::CaseFile,
        'readings' => self::Readings,
    ];

    /** Null where it can't be told. */
    public static function of(string $content): ?self
    {
        foreach (self::BYTES as $start => $kind) {
            if (str_starts_with($content, $start)) {
                return $kind;
            }
        }
        $document = json_decode($content, true, Node::DEEPEST_JSON);

        return match (true) {
            is_array($document) => self::ofDocument($document),
            preg_match('/^\s*[\[{]/', $content) === 1 => self::ofBeginning($content),
            default => self::ofText($content),
        };
    }

    /** Why a file isn't of the wanted kind; null where it may be, or can't be told. */
    public static function unlike(string $content, self $wanted): ?Message
    {
        $kind = self::of($content);

        // Readings come as a table: one that can't be read is told by its columns.
        $isWanted = $kind === $wanted || ($kind === self::Table && $wanted === self::Readings);

        return $kind === null || $isWanted ? null : Message::of('field.other_file', kind: $kind->message(), wanted: $wanted->message());
    }

    /** Inside a sentence: "a picture". */
    public function message(): Message
    {
        return Message::of('file_kind.'.$this->value);
    }

    /** @param  array<array-key, mixed>  $document */
    private static function ofDocument(array $document): ?self
    {
        $list = array_is_list($document) ? $document : ($document['data'] ?? null);
        $one = is_array($list) && is_array($list[0] ?? null) ? $list[0] : $document;
        foreach (self::KEYS as $key => $kind) {
            if (array_key_exists($key, $one)) {
                return $kind;
            }
        }

        return null;
    }

    /** For a document that is broken or of which only the beginning is known. */
    private static function ofBeginning(string $content): ?self
    {
        foreach (self::KEYS as $key => $kind) {
            if (preg_match("/\"{$key}\"\s*:/", $content) === 1) {
                return $kind;
            }
        }

        return null;
    }

    /** Three lines with as many commas, semicolons or tabs are a table. */
    private static function ofText(string $content): ?self
    {
        $lines = array_slice(explode("\n", substr($content, 0, 4096)), 0, 3);
        foreach ([',', ';', "\t"] as $separator) {
            $counts = array_map(static fn (string $line): int => substr_count($line, $separator), $lines);
            if (count($lines) === 3 && $counts[0] > 0 && count(array_unique($counts)) === 1) {
                return self::Table;
            }
        }

        return null;
    }
}
