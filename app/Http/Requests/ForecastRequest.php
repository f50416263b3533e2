<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Equipment\FitQuestion;
use Harmozon\Core\Json\FieldError;
use Illuminate\Foundation\Http\FormRequest;

/** Up to three chains under the same conditions, each with the heat loads of its own links. */
final class ForecastRequest extends FormRequest
{
    public const MOST_CHAINS = 3;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'chains' => ['required', 'list', 'min:1', 'max:'.self::MOST_CHAINS],
            'chains.*' => ['array'],
            'chains.*.outlet' => ['required', 'string'],
            'chains.*.vehicle' => ['required', 'string'],
            'chains.*.adapters' => ['nullable', 'list', 'max:20'],
            'chains.*.adapters.*' => ['string'],
            'chains.*.exact' => ['boolean'],
            'chains.*.theta' => ['array'],
            'kit' => ['string', 'in:own,buy'],
            'policy' => ['string', 'in:maker,certified,any'],
            'conditions' => ['array'],
        ];
    }

    public function mayBuy(): bool
    {
        return $this->string('kit')->toString() === 'buy';
    }

    /**
     * @return list<FitQuestion>
     *
     * @throws FieldError
     */
    public function questions(): array
    {
        /** @var list<array{outlet: string, vehicle: string, adapters?: list<string>|null, exact?: bool, theta?: array<string, mixed>}> $chains */
        $chains = $this->validated('chains');
        /** @var array<string, mixed> $conditions */
        $conditions = $this->validated('conditions', []);
        $questions = [];
        foreach ($chains as $i => $chain) {
            try {
                $questions[] = FitQuestion::ask(
                    $chain['outlet'], $chain['vehicle'], $chain['adapters'] ?? null, (bool) ($chain['exact'] ?? false),
                    $this->string('policy', 'certified')->toString(),
                    isset($chain['theta']) ? [...$conditions, 'theta' => $chain['theta']] : $conditions,
                );
            } catch (FieldError $e) {
                throw FieldError::at("chains[{$i}].{$e->path}", $e->problem);
            }
        }

        return $questions;
    }
}
