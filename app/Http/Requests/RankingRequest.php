<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Vehicle;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Message;

/** One car and one need, at every outlet. */
final class RankingRequest extends BoardRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), 'vehicle' => ['required', 'string'], 'conditions' => ['array']];
    }

    /** @throws FieldError */
    public function vehicle(): Vehicle
    {
        return Vehicle::query()->firstWhere('ulid', $this->string('vehicle')->toString()) ?? throw FieldError::at('vehicle', Message::of('app.not_in_garage'));
    }

    /** @throws FieldError */
    public function conditions(): Conditions
    {
        return (new CaseReader)->conditions(Node::of($this->validated('conditions', []), 'conditions'));
    }
}
