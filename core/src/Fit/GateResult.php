<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Unread;

/** A gate's answer: result, reason in one sentence, the figures used, and for an unknown where to read the fact. */
final readonly class GateResult
{
    /**
     * @param  list<Figure>  $figures
     * @param  list<Unread>  $missing  facts an unknown asks for
     */
    private function __construct(
        public GateName $gate,
        public Result $result,
        public string $reason,
        public ?string $check,
        public bool $isHazard,
        public array $figures,
        public array $missing = [],
    ) {
    }

    /** @param  list<Figure>  $figures */
    public static function pass(GateName $gate, string $reason, array $figures = []): self
    {
        return new self($gate, Result::Pass, $reason, null, false, $figures);
    }

    /** @param  list<Figure>  $figures */
    public static function caution(GateName $gate, string $reason, array $figures = [], ?string $check = null): self
    {
        return new self($gate, Result::Caution, $reason, $check, false, $figures);
    }

    /** @param  list<Figure>  $figures */
    public static function fail(GateName $gate, string $reason, array $figures = []): self
    {
        return new self($gate, Result::Fail, $reason, null, false, $figures);
    }

    /**
     * A failure that endangers people or equipment.
     *
     * @param  list<Figure>  $figures
     */
    public static function hazard(GateName $gate, string $reason, array $figures = []): self
    {
        return new self($gate, Result::Fail, $reason, null, true, $figures);
    }

    /**
     * A question left open by facts that nobody has read.
     *
     * @param  non-empty-list<Unread>  $missing
     */
    public static function unread(GateName $gate, array $missing): self
    {
        return new self($gate, Result::Unknown, sprintf('Not known yet: %s.', Unread::facts($missing)), Unread::places($missing), false, [], $missing);
    }
}
