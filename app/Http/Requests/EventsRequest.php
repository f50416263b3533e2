<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\EventJsonReader;
use Harmozon\Core\Record\Event;
use Illuminate\Foundation\Http\FormRequest;

final class EventsRequest extends FormRequest
{
    /** Events one call may bring. */
    private const MOST = 100;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['events' => ['required', 'list', 'min:1', 'max:'.self::MOST], 'events.*' => ['array'], 'events.*.client_id' => ['required', 'string', 'ulid']];
    }

    /** @return array<string, Event> by the id that was given them where they were noted; the core checks the rest */
    public function events(EventJsonReader $reader): array
    {
        $events = [];
        foreach (Node::of($this->all())->objects('events', self::MOST) as $node) {
            $events[strtoupper($node->text('client_id'))] = $reader->event($node);
        }

        return $events;
    }
}
