<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Equipment\Adapter;
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
    public static function mustBe(Node $node): void
    {
        if ($node->text('format') !== self::FORMAT) {
            throw $node->fail('format', Message::of('field.expected_format', format: self::FORMAT));
        }
        if ($node->wholeNumber('version', self::VERSION, self::VERSION) === null) {
            throw $node->fail('version', Message::of('field.required'));
        }
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
        ]));
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
