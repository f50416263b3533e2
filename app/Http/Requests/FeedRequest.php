<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\Noise;
use Harmozon\Core\Bench\Script;
use Harmozon\Core\Case\FaultReader;
use Harmozon\Core\Json\FieldError;
use Illuminate\Foundation\Http\FormRequest;

/** How a session's own chain is acted out: the seed, what goes wrong, and how often it is read. */
final class FeedRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['seed' => ['integer', 'min:0', 'max:'.Noise::LARGEST_SEED], 'fault' => ['nullable', 'string', 'max:60'], 'every_s' => ['integer', 'min:1', 'max:'.Script::SLOWEST_S]];
    }

    public function seed(): int
    {
        return $this->integer('seed', 1);
    }

    public function everyS(): int
    {
        return $this->integer('every_s', Script::EVERY_S);
    }

    public function faultText(): string
    {
        return $this->string('fault')->trim()->toString();
    }

    /** @throws FieldError when it is none of ours */
    public function fault(): ?InjectedFault
    {
        return $this->faultText() === '' ? null : FaultReader::fault($this->faultText(), 'fault');
    }
}
