<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Case\VettingReader;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\AlreadyOwned;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\Reached;
use Harmozon\Core\Kit\Vetting;
use Harmozon\Core\Kit\VettingQuestion;
use Harmozon\Core\Kit\VettingReason;
use Harmozon\Core\Kit\VettingVerdict;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class VettingTest extends TestCase
{
    public function test_everything_answered_yes_leaves_nothing_to_say_against_it(): void
    {
        $vetting = self::vet();

        self::assertSame([VettingVerdict::UseIt, []], [$vetting->verdict, self::codes($vetting)]);
        // 150 kW flat until 60 %: the car's own curve limits it, through a piece rated 300 A, boost 500 A.
        self::assertSame([['v1', 'o2', 150.0]], array_map(static fn (Reached $r): array => [$r->pair->vehicle->id, $r->pair->at->outlet->id, $r->way->kw], $vetting->adds));
        self::assertSame([[], 1], [$vetting->already, $vetting->serves]);
    }

    /** @return iterable<string, array{VettingQuestion, VettingVerdict}> */
    public static function questions(): iterable
    {
        foreach (VettingQuestion::cases() as $question) {
            $isLow = in_array($question, [VettingQuestion::OrderGiven, VettingQuestion::SellerAnswers], true);
            yield $question->value => [$question, $isLow ? VettingVerdict::UseIt : VettingVerdict::AskFirst];
        }
    }

    #[DataProvider('questions')]
    public function test_what_is_not_said_or_denied_is_asked_by_its_weight(VettingQuestion $question, VettingVerdict $verdict): void
    {
        foreach (['not_said', 'no', null] as $answer) {
            $vetting = self::vet(answers: [$question->value => $answer]);

            self::assertSame([$verdict, [$question->value]], [$vetting->verdict, self::codes($vetting)]);
            self::assertSame($answer === 'no' ? $question->denied()->code : $question->open()->code, $vetting->reasons[0]->detail->code);
        }
    }

    public function test_the_weightiest_reason_comes_first(): void
    {
        $vetting = self::vet(['recalled' => true], ['seller_answers' => 'no', 'certified_mark' => 'no', 'heat_cut_off' => 'no']);

        self::assertSame(['recalled', 'certified_mark', 'heat_cut_off', 'seller_answers'], self::codes($vetting));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string}> */
    public static function wrongPieces(): iterable
    {
        yield 'recalled' => [['recalled' => true], [], 'recalled'];
        yield 'damaged' => [['damaged' => true], [], 'damaged'];
        yield 'an AC piece offered for DC' => [['current' => 'ac', 'plate.continuous_a' => 80], [], 'sold_for'];
        yield 'a DC piece offered for AC' => [['current' => 'dc'], ['sold_for' => 'ac'], 'sold_for'];
        yield 'couplers without DC contacts offered for DC' => [['input' => 'type1', 'output' => 'j3400', 'current' => null], [], 'sold_for'];
        yield 'an extension of DC' => [['input' => 'ccs1', 'output' => 'ccs1'], [], 'dc_extension'];
        // The battery is at 360 V at 80 %.
        yield 'rated below every car it serves' => [['plate.max_v' => 300], [], 'volts_below'];
        // 150 kW at 320 V are 469 A; the piece ends at 200 A.
        yield 'amps below what the car draws' => [['plate.continuous_a' => 200, 'plate.boost_a' => null, 'plate.boost_minutes' => null], [], 'amps_below'];
        yield 'for any car, and a car cannot use it' => [[], ['sold_for' => 'any_car'], 'any_car'];
    }

    /**
     * @param  array<string, mixed>  $piece
     * @param  array<string, mixed>  $answers
     */
    #[DataProvider('wrongPieces')]
    public function test_a_wrong_piece_is_left_whatever_else_is_said(array $piece, array $answers, string $code): void
    {
        $garage = $code === 'any_car' ? self::garage(['inlets.0.dc.signalling' => ['can_chademo']]) : self::garage();
        $vetting = self::vet($piece, $answers, $garage);

        self::assertSame([VettingVerdict::LeaveIt, $code], [$vetting->verdict, self::codes($vetting)[0]]);
        self::assertTrue($vetting->reasons[0]->isDecisive);
    }

    public function test_a_piece_that_limits_the_current_itself_may_have_a_lower_rating(): void
    {
        $vetting = self::vet(['plate.continuous_a' => 200, 'plate.boost_a' => null, 'plate.boost_minutes' => null, 'holds_back' => true]);

        self::assertSame(VettingVerdict::UseIt, $vetting->verdict);
    }

    /** One car is fine at 360 V; its sister's battery reaches 750 V, above the piece's 500 V. */
    public function test_a_rating_that_some_cars_exceed_is_a_reason_to_ask(): void
    {
        $garage = Garages::question([['id' => 'v1'], ['id' => 'v2', ...Cases::HIGH_VOLTAGE]], [['id' => 'o1', 'coupler' => 'j3400']], [], []);
        $vetting = self::vet(['plate.max_v' => 500], garage: $garage);

        self::assertSame([VettingVerdict::AskFirst, ['volts_below']], [$vetting->verdict, self::codes($vetting)]);
    }

    public function test_a_plate_said_to_be_there_has_to_be_entered(): void
    {
        self::assertSame(['plate_said'], self::codes(self::vet(['plate.continuous_a' => null, 'plate.boost_a' => null, 'plate.boost_minutes' => null])));
    }

    /** The owned one ends at 100 A, some 33 kW at 330 V; the new one lets the car take its 150 kW. */
    public function test_what_it_only_speeds_up_is_told_apart(): void
    {
        $weak = ['id' => 'mine', 'plate.continuous_a' => 100, 'plate.boost_a' => null, 'plate.boost_minutes' => null];
        $vetting = self::vet(garage: Garages::question([['id' => 'v1']], [['id' => 'o2', 'coupler' => 'j3400']], [$weak], []));

        self::assertSame([[], [150.0]], [$vetting->adds, array_map(static fn (Reached $r): float => $r->way->kw, $vetting->faster)]);
        self::assertSame([], self::vet(garage: Garages::question([['id' => 'v1']], [['id' => 'o2', 'coupler' => 'j3400']], [['id' => 'mine']], []))->faster);
    }

    public function test_a_recalled_piece_adds_nothing(): void
    {
        self::assertSame([[], 0], [self::vet(['recalled' => true])->adds, self::vet(['recalled' => true])->serves]);
        self::assertSame([[], 0], [self::vet(['damaged' => true])->adds, self::vet(['damaged' => true])->serves]);
    }

    public function test_an_owned_piece_that_does_it_already_is_named(): void
    {
        $garage = Garages::question([['id' => 'v1']], [['id' => 'o2', 'coupler' => 'j3400']], [['id' => 'mine']], []);
        $vetting = self::vet(garage: $garage);

        self::assertSame([[], [['mine', 1]], 1], [$vetting->adds, array_map(static fn (AlreadyOwned $a): array => [$a->adapter->id, $a->pairs], $vetting->already), $vetting->serves]);
    }

    public function test_a_piece_is_called_what_it_says_or_what_it_is_called_here(): void
    {
        $read = static fn (array $names): array => array_values(array_intersect_key(get_object_vars((new VettingReader)->adapter(Node::of([...$names, 'input' => 'ccs1', 'output' => 'j3400']), 'This adapter')), ['id' => true, 'name' => true]));

        self::assertSame([['seen', 'This adapter'], ['k7', 'Gudgeon G-7']], [$read([]), $read(['id' => 'k7', 'name' => 'Gudgeon G-7'])]);
    }

    public function test_an_answer_to_no_question_of_ours_is_refused_by_name(): void
    {
        foreach ([['smell' => 'yes'], ['plate_said' => 'perhaps'], ['sold_for' => 'fun']] as $answers) {
            try {
                VettingReader::answers(Node::of($answers, 'answers'));
                self::fail('accepted');
            } catch (FieldError $e) {
                self::assertSame('answers.'.array_key_first($answers), $e->path);
            }
        }
    }

    /**
     * @param  array<string, mixed>  $piece
     * @param  array<string, mixed>  $answers
     */
    private static function vet(array $piece = [], array $answers = [], ?KitQuestion $garage = null): Vetting
    {
        $reader = new VettingReader;
        $all = array_fill_keys(array_map(static fn (VettingQuestion $q): string => $q->value, VettingQuestion::cases()), 'yes');

        return Vetting::of(
            $reader->adapter(Node::of(array_diff_key(Cases::changed(Cases::ADAPTER, $piece), ['id' => true, 'name' => true])), 'This adapter'),
            VettingReader::answers(Node::of([...$all, 'sold_for' => 'dc', ...$answers])),
            $garage ?? self::garage(),
        );
    }

    /** @param  array<string, mixed>  $car */
    private static function garage(array $car = []): KitQuestion
    {
        return Garages::question([['id' => 'v1', ...$car]], [['id' => 'o1'], ['id' => 'o2', 'coupler' => 'j3400']], [], []);
    }

    /** @return list<string> */
    private static function codes(Vetting $vetting): array
    {
        return array_map(static fn (VettingReason $r): string => $r->code, $vetting->reasons);
    }
}
