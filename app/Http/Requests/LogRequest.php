<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Sessions\DayRange;
use App\Sessions\LogFilter;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Review\Cause;
use Illuminate\Foundation\Http\FormRequest;

/** The wanted part of the log. */
final class LogRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $id = ['nullable', 'string', 'max:26'];

        return [
            'q' => ['nullable', 'string', 'max:200'],
            'vehicle' => $id,
            'adapter' => $id,
            'outlet' => $id,
            'verdict' => ['nullable', 'string', 'in:'.implode(',', [...array_column(Verdict::cases(), 'value'), LogFilter::OPEN])],
            'cause' => ['nullable', 'string', 'in:'.implode(',', array_column(Cause::cases(), 'value'))],
            'unread' => ['nullable', 'string', 'in:'.implode(',', [LogFilter::ANY, ...array_column(Quantity::cases(), 'value')])],
            'from' => ['nullable', 'date_format:Y-m-d'],
            'to' => ['nullable', 'date_format:Y-m-d'],
            'after' => $id,
            'most' => ['nullable', 'integer', 'min:1', 'max:500'],
        ];
    }

    public function filter(): LogFilter
    {
        $text = function (string $field): ?string {
            $value = trim($this->string($field)->toString());

            return $value === '' ? null : $value;
        };

        return new LogFilter($text('q'), $text('vehicle'), $text('adapter'), $text('outlet'), $text('verdict'), $text('cause'), new DayRange($text('from'), $text('to')), $text('unread'));
    }

    /** The session after which the next ones are wanted; null for the newest. */
    public function afterSession(): ?string
    {
        $after = $this->string('after')->toString();

        return $after === '' ? null : $after;
    }

    /** Null: the log's default number. */
    public function most(): ?int
    {
        return $this->has('most') && $this->integer('most') > 0 ? $this->integer('most') : null;
    }
}
