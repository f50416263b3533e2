<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Gate 5 reads what is set up at a network, and what is left to do before the visit. */
final class NetworkSetUpTest extends TestCase
{
    private const ACCOUNT = ['access' => ['kind' => 'account', 'network' => 'Fernway']];

    private const MAKES = ['access' => ['kind' => 'makes', 'makes' => ['ostler', 'reed']]];

    /** Every step of a network, but for those that are told otherwise. */
    private const LOOKED_AT = ['app' => 'not_needed', 'account' => 'not_needed', 'card' => 'not_needed', 'certificate' => 'not_needed', 'membership' => 'not_needed'];

    /** @return iterable<string, array{array<string, mixed>, list<array<string, string>>, Result, string}> */
    public static function setUps(): iterable
    {
        yield 'nobody has looked at any network' => [self::ACCOUNT, [], Result::Caution, 'access.needs_account_of'];
        yield 'nor does anybody know whose it is' => [['access' => ['kind' => 'account']], [['name' => 'Fernway', 'app' => 'done']], Result::Caution, 'access.needs_account'];
        yield 'it is another network' => [self::ACCOUNT, [['name' => 'Millrace', 'app' => 'done']], Result::Caution, 'access.needs_account_of'];
        yield 'it is named, and nothing of it was looked at' => [self::ACCOUNT, [['name' => 'Fernway']], Result::Caution, 'access.needs_account_of'];
        yield 'nothing of it is needed, as far as was looked' => [self::ACCOUNT, [['name' => 'Fernway', 'card' => 'not_needed']], Result::Caution, 'access.needs_account_of'];
        yield 'what was looked at is done, the rest is not known' => [self::ACCOUNT, [['name' => 'Fernway', 'app' => 'done', 'account' => 'done', 'card' => 'not_needed']], Result::Caution, 'access.needs_account_of'];
        yield 'all but one were looked at' => [self::ACCOUNT, [array_diff_key(['name' => 'Fernway', 'app' => 'done'] + self::LOOKED_AT, ['membership' => 0])], Result::Caution, 'access.needs_account_of'];
        yield 'nothing of it is needed at all' => [self::ACCOUNT, [['name' => 'Fernway'] + self::LOOKED_AT], Result::Caution, 'access.needs_account_of'];
        yield 'it is ready' => [self::ACCOUNT, [['name' => ' fernway', 'app' => 'done', 'account' => 'done'] + self::LOOKED_AT], Result::Pass, 'access.ready'];
        yield 'one step is left' => [self::ACCOUNT, [['name' => 'Fernway', 'app' => 'done', 'account' => 'to_do']], Result::Caution, 'access.before_you_leave'];
        yield 'open to everyone needs nothing' => [['access' => ['kind' => 'open', 'network' => 'Fernway']], [['name' => 'Fernway', 'app' => 'to_do']], Result::Pass, 'access.everyone'];
        yield 'admitted, and nobody has looked' => [self::MAKES, [], Result::Pass, 'access.admitted'];
        yield 'admitted, and not all was looked at' => [self::MAKES, [['name' => 'Ostler', 'certificate' => 'done']], Result::Pass, 'access.admitted'];
        yield 'admitted, and ready' => [self::MAKES, [['name' => 'Ostler', 'certificate' => 'done'] + self::LOOKED_AT], Result::Pass, 'access.admitted_ready'];
        yield 'admitted, and a step is left' => [self::MAKES, [['name' => 'Ostler', 'app' => 'to_do']], Result::Caution, 'access.before_you_leave'];
        yield 'admitted through two, and the second is ready' => [self::MAKES, [['name' => 'Ostler', 'app' => 'to_do'], ['name' => 'Reed', 'app' => 'done'] + self::LOOKED_AT], Result::Pass, 'access.admitted_ready'];
    }

    /**
     * @param  array<string, mixed>  $outlet
     * @param  list<array<string, string>>  $networks
     */
    #[DataProvider('setUps')]
    public function test_what_is_set_up_is_told(array $outlet, array $networks, Result $result, string $code): void
    {
        $answer = self::answer($outlet, $networks);

        self::assertSame([$result, $code], [$answer->gate(GateName::Access)->result(), $answer->gate(GateName::Access)->reason()->code]);
        // It tells what to do, and stands in nobody's way.
        self::assertSame(Outcome::Charges, $answer->outcome);
    }

    public function test_whoever_is_not_admitted_is_not_by_an_app_either(): void
    {
        $answer = self::answer(['access' => ['kind' => 'makes', 'makes' => ['reed']]], [['name' => 'reed', 'app' => 'done']], ['programmes' => ['ostler']]);

        self::assertSame(Outcome::WontCharge, $answer->outcome);
    }

    public function test_the_steps_are_named_in_their_order(): void
    {
        $reason = self::answer(self::ACCOUNT, [['name' => 'Fernway', 'membership' => 'to_do', 'app' => 'to_do']])->gate(GateName::Access)->reason();

        self::assertSame('Before you leave, set up Fernway: the app and the membership.', \Harmozon\Core\Tests\Say::it($reason));
    }

    public function test_a_state_that_is_none_is_named(): void
    {
        try {
            self::answer(self::ACCOUNT, [['name' => 'Fernway', 'app' => 'soon']]);
            self::fail('it was read');
        } catch (FieldError $e) {
            self::assertSame('networks[0].app', $e->path);
        }
    }

    /**
     * @param  array<string, mixed>  $outlet
     * @param  list<array<string, string>>  $networks
     * @param  array<string, mixed>  $car
     */
    private static function answer(array $outlet, array $networks, array $car = ['programmes' => ['ostler', 'reed']]): ChainAnswer
    {
        return Cases::answer([...Cases::file(car: $car, outlet: $outlet), 'networks' => $networks])->best;
    }
}
