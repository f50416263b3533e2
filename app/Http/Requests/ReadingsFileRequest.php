<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\MappingReader;

/** A readings file, and which column of it holds what where it is not ours. */
final class ReadingsFileRequest extends FileRequest
{
    private const LONGEST_MAPPING = 20_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), 'mapping' => ['nullable', 'string', 'max:'.self::LONGEST_MAPPING]];
    }

    /** @throws FieldError naming the field of the mapping */
    public function mapping(): ?Mapping
    {
        $json = $this->string('mapping')->toString();

        return $json === '' ? null : (new MappingReader)->json($json, 'mapping');
    }
}
