<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Certification;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\SoldFor;
use Harmozon\Core\Kit\VettingAnswer;
use Harmozon\Core\Kit\VettingAnswers;
use Harmozon\Core\Kit\VettingQuestion;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Reads an adapter that somebody looks at before buying it (`harmozon/vetting`, version 1). */
final class VettingReader
{
    public const FORMAT = 'harmozon/vetting';

    public const VERSION = 1;

    /** The id of an adapter that has none yet. */
    private const UNNAMED_ID = 'seen';

    private const SOLD_FOR = 'sold_for';

    public function __construct(private readonly EquipmentReader $equipment = new EquipmentReader)
    {
    }

    /** @throws FieldError when it is another kind of file, or one of a version to come */
    public static function mustBeVetting(Node $node): void
    {
        CaseReader::mustBe($node, self::FORMAT, self::VERSION);
    }

    /**
     * @param  Node  $adapter  its plate as far as it was said
     * @param  string  $name  what to call it where it has no name
     *
     * @throws FieldError
     */
    public function adapter(Node $adapter, string $name): Adapter
    {
        return $this->equipment->adapter($adapter->with([
            ...($adapter->has('id') ? [] : ['id' => self::UNNAMED_ID]),
            ...($adapter->has('name') ? [] : ['name' => $name]),
            ...array_filter(self::facts(self::answersOf($adapter)), static fn (string $key): bool => ! $adapter->has($key), ARRAY_FILTER_USE_KEY),
        ]));
    }

    /**
     * What the answers say of the adapter itself, in the words of the case file: an owned one has these facts, too.
     *
     * @return array<string, string|bool>
     */
    public static function facts(VettingAnswers $answers): array
    {
        $facts = [];
        foreach ([[VettingQuestion::CertifiedMark, 'certification', Certification::Certified->value, Certification::Claims->value], [VettingQuestion::MakerAccepts, 'maker_approved', true, false], [VettingQuestion::RecallLookedAt, 'recalled', false, null]] as [$question, $key, $yes, $no]) {
            $fact = match ($answers->to($question)) {
                VettingAnswer::Yes => $yes,
                VettingAnswer::No => $no,
                VettingAnswer::NotSaid => null,
            };
            $facts += $fact === null ? [] : [$key => $fact];
        }

        return $facts;
    }

    /** @throws FieldError */
    public static function answersOf(Node $adapter): VettingAnswers
    {
        return self::answers($adapter->objectOrNull('vetting') ?? Node::of([], $adapter->at('vetting')));
    }

    /** @throws FieldError where an answer is none of ours, or answers no question of ours */
    public static function answers(Node $answers): VettingAnswers
    {
        $known = array_map(static fn (VettingQuestion $q): string => $q->value, VettingQuestion::cases());
        foreach (array_diff($answers->keys(), [...$known, self::SOLD_FOR]) as $key) {
            throw $answers->fail($key, Message::of('field.none_of', value: $key, known: Listing::comma([...$known, self::SOLD_FOR])));
        }
        $read = [];
        foreach (VettingQuestion::cases() as $question) {
            $read[$question->value] = $answers->choice($question->value, VettingAnswer::class) ?? VettingAnswer::NotSaid;
        }

        return new VettingAnswers($read, $answers->choice(self::SOLD_FOR, SoldFor::class) ?? SoldFor::NotSaid);
    }
}
