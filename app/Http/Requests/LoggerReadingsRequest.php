<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\ReadingJsonReader;
use Harmozon\Core\Record\Reading;
use Illuminate\Foundation\Http\FormRequest;

/** A batch of a logger. */
final class LoggerReadingsRequest extends FormRequest
{
    private const MOST = 1000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['readings' => ['required', 'list', 'min:1', 'max:'.self::MOST], 'readings.*' => ['array'], 'readings.*.client_id' => ['required', 'string', 'ulid']];
    }

    /** @return array<string, Reading> by the id that the logger gave them */
    public function readings(ReadingJsonReader $reader): array
    {
        $readings = [];
        foreach (Node::of($this->all())->objects('readings', self::MOST) as $node) {
            $readings[strtoupper($node->text('client_id'))] = $reader->reading($node);
        }

        return $readings;
    }
}
