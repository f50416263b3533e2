<?php

declare(strict_types=1);

namespace App\Garage;

use Harmozon\Core\Words\Message;

/** What a person may do in a garage, besides looking. */
enum Permission: string
{
    /** Sessions and their readings. */
    case Record = 'record';
    /** Facts about cars, adapters, places and outlets. */
    case Edit = 'edit';
    /** What others rely on: removing, whole files, regional settings, people, the garage itself. */
    case Keep = 'keep';

    /** As a phrase for an action. */
    public function message(): Message
    {
        return Message::of('act.'.$this->value);
    }
}
