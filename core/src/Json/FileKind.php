<?php

declare(strict_types=1);

namespace Harmozon\Core\Json;

use Harmozon\Core\Words\Message;

/** What a file seems to be that is not what was asked for, so that a mistake is named and not only refused. */
final class FileKind
{
    /** First bytes of files that are no text. */
    private const BYTES = [
        "\x89PNG" => 'file_kind.picture',
        "\xFF\xD8\xFF" => 'file_kind.picture',
        'GIF8' => 'file_kind.picture',
        '%PDF' => 'file_kind.pdf',
        "PK\x03\x04" => 'file_kind.archive',
    ];

    /** Keys that only one kind of document has: modules of OCPI 2.2.1 first, then our own. */
    private const KEYS = [
        'elements' => 'file_kind.tariffs',
        'charging_periods' => 'file_kind.charge_records',
        'evses' => 'file_kind.locations',
        'sessions' => 'file_kind.garage',
        'vehicle' => 'file_kind.case',
        'readings' => 'file_kind.readings',
    ];

    /** In words that go into a sentence: "a picture"; null where it can't be told. */
    public static function of(string $content): ?Message
    {
        foreach (self::BYTES as $start => $kind) {
            if (str_starts_with($content, $start)) {
                return Message::of($kind);
            }
        }
        $document = json_decode($content, true, Node::DEEPEST_JSON);

        return is_array($document) ? self::ofDocument($document) : self::ofText($content);
    }

    /** @param  array<array-key, mixed>  $document */
    private static function ofDocument(array $document): ?Message
    {
        $list = array_is_list($document) ? $document : ($document['data'] ?? null);
        $one = is_array($list) && is_array($list[0] ?? null) ? $list[0] : $document;
        foreach (self::KEYS as $key => $kind) {
            if (array_key_exists($key, $one)) {
                return Message::of($kind);
            }
        }

        return null;
    }

    /** Three lines with as many commas, semicolons or tabs are a table. */
    private static function ofText(string $content): ?Message
    {
        $lines = array_slice(explode("\n", substr($content, 0, 4096)), 0, 3);
        foreach ([',', ';', "\t"] as $separator) {
            $counts = array_map(static fn (string $line): int => substr_count($line, $separator), $lines);
            if (count($lines) === 3 && $counts[0] > 0 && count(array_unique($counts)) === 1) {
                return Message::of('file_kind.table');
            }
        }

        return null;
    }
}
