<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\FileKind;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Message;

/** A document of OCPI 2.2.1: a list of objects, bare, under "data" as the interface answers, or under its module's name. */
final class OcpiDocument
{
    /**
     * @param  string  $module  `locations` or `tariffs`
     * @param  string  $key  what every object of the module has
     * @param  Message  $expected  said of a document that is neither a list nor a file we recognise
     * @return non-empty-list<mixed>
     *
     * @throws FieldError when it is no such list; a file of another kind is named
     */
    public static function list(string $json, string $module, FileKind $kind, string $key, Message $expected): array
    {
        try {
            $document = json_decode($json, true, Node::DEEPEST_JSON, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw FieldError::at($module, FileKind::unlike($json, $kind) ?? Message::of('field.not_json', why: lcfirst($e->getMessage())));
        }
        $list = is_array($document) && ! array_is_list($document) ? ($document['data'] ?? $document[$module] ?? null) : $document;
        if (! is_array($list) || ! array_is_list($list) || $list === []) {
            throw FieldError::at($module, FileKind::unlike($json, $kind) ?? $expected);
        }
        $unlike = is_array($list[0]) && ! isset($list[0][$key]) ? FileKind::unlike($json, $kind) : null;

        return $unlike === null ? $list : throw FieldError::at($module, $unlike);
    }
}
