<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\ReadingJsonReader;
use Harmozon\Core\Record\Reading;
use Illuminate\Foundation\Http\FormRequest;

final class ReadingsRequest extends FormRequest
{
    /** Readings one call may bring. */
    private const MOST = 500;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['readings' => ['required', 'list', 'min:1', 'max:'.self::MOST], 'readings.*' => ['array'], 'readings.*.client_id' => ['required', 'string', 'ulid'], 'late' => ['boolean']];
    }

    /** @return array<string, Reading> by the id their taker gave them; the core checks the figures */
    public function readings(ReadingJsonReader $reader): array
    {
        $readings = [];
        foreach (Node::of($this->all())->objects('readings', self::MOST) as $node) {
            $readings[strtoupper($node->text('client_id'))] = $reader->reading($node);
        }

        return $readings;
    }
}
