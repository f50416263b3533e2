<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Answers;

use Harmozon\Core\Answers\TermsWriter;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Chain\UsualNeed;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use Harmozon\Core\Tests\Words\Sources;
use Harmozon\Core\Words\Term;
use PhpParser\Node\Stmt\Enum_;
use PHPUnit\Framework\TestCase;

final class TermsWriterTest extends TestCase
{
    /** Told as shapes and sockets, with the figures they stand beside, or with the session or drill that they belong to. */
    private const TOLD_ELSEWHERE = ['CouplerFamily', 'SocketKind', 'BindingCode', 'Quantity', 'Phase', 'Fault', 'DrillKind'];

    public function test_every_closed_set_of_the_core_is_named(): void
    {
        $sets = self::terms()['sets'];
        $named = array_map(static fn (array $set): array => array_column($set, 'id'), array_values($sets));
        $enums = array_filter(
            Sources::below(dirname(__DIR__, 2).'/src')->all(Enum_::class),
            static fn (array $found): bool => is_a((string) $found[1]->namespacedName, Term::class, true) && ! in_array((string) $found[1]->name, self::TOLD_ELSEWHERE, true),
        );

        self::assertGreaterThan(12, count($enums));
        self::assertCount(count($enums), $sets);
        foreach ($enums as [, $enum]) {
            /** @var class-string<Term> $class */
            $class = (string) $enum->namespacedName;
            self::assertContains(array_column($class::cases(), 'value'), $named, $class);
        }
    }

    public function test_a_name_stands_inside_a_sentence_and_alone(): void
    {
        $outcomes = array_column(self::terms()['sets']['outcome'], null, 'id');

        self::assertSame(['id' => 'limited', 'words' => 'charges, limited', 'title' => 'Charges, limited'], $outcomes['limited']);
        self::assertSame(
            ['refused_by_policy' => 'refused', 'unverified' => 'check', 'wont_charge' => "won't", 'no_joint' => '–', 'hazard' => 'do not'],
            self::terms()['outcome_short'],
        );
    }

    public function test_every_shape_and_socket_offered_can_be_read_back(): void
    {
        $terms = self::terms();
        $ids = [...array_column($terms['couplers'], 'id'), ...array_column($terms['sockets'], 'id')];

        self::assertSame($ids, array_map(static fn (string $id): string => Coupler::of($id)->id, $ids));
        self::assertContains('socket:14-50', $ids);
        self::assertNotContains('socket', $ids);
        self::assertNotContains('legacy_paddle', $ids);
    }

    public function test_a_workshop_adds_dc_languages_only(): void
    {
        self::assertSame(['plc', 'can_legacy', 'can_chademo', 'can_gbt'], array_column(self::terms()['retrofits'], 'id'));
    }

    public function test_the_usual_need_is_that_of_a_case_which_says_nothing(): void
    {
        $need = self::terms()['need'];
        $read = (new CaseReader)->case(Node::of(Cases::file(case: ['conditions' => array_diff_key($need, ['begins' => true])])))->conditions;

        self::assertEquals(UsualNeed::conditions(), $read);
        self::assertSame(['neighbour_at_minute', 'neighbour_leaves_at_minute', 'derated_kw', 'prepared_minutes', 'km', 'reserve_soc', 'next_stop_kw', 'cabin_kw'], array_keys($need['begins']));
    }

    /** @return array<string, mixed> */
    private static function terms(): array
    {
        return (new TermsWriter(Say::voice()))->terms();
    }
}
