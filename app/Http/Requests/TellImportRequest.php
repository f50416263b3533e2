<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Readings\ReadingColumns;
use Harmozon\Core\Record\Reading;
use Illuminate\Foundation\Http\FormRequest;

/** How a readings file is to be read, and how long after plugging in it begins. */
final class TellImportRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $most = (int) ReadingColumns::LONGEST_S;

        return ['mapping' => ['nullable', 'array'], 'shift_s' => ['nullable', 'numeric', "between:-{$most},{$most}"], 'instrument' => ['nullable', 'string', 'max:'.Reading::LONGEST_SOURCE]];
    }

    /** @throws FieldError naming the field of the mapping */
    public function mapping(): ?Mapping
    {
        if ($this->json('mapping') === null) {
            return null;
        }
        // Read once more, so that an empty object stays one.
        $whole = json_decode($this->getContent(), false);

        return (new MappingReader)->json((string) json_encode(is_object($whole) ? $whole->mapping ?? null : null), 'mapping');
    }

    /** Null where none was given. */
    public function instrument(): ?string
    {
        $name = $this->json('instrument');

        return is_string($name) && trim($name) !== '' ? trim($name) : null;
    }

    public function shiftS(): ?float
    {
        return is_numeric($this->json('shift_s')) ? (float) $this->json('shift_s') : null;
    }
}
