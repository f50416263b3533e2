<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\GivesWay;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Whoever writes much in the background lets people write first. */
#[Group('sqlite')]
final class GivesWayTest extends TestCase
{
    use StartsFromSeed;

    public function test_it_gives_way_while_others_write_and_for_a_while_after(): void
    {
        $ours = new GivesWay;
        $others = new \PDO('sqlite:'.DB::connection()->getDatabaseName());
        $write = static function () use ($ours): void {
            DB::table('jobs')->insert(['queue' => 'none', 'payload' => '', 'attempts' => 0, 'available_at' => 0, 'created_at' => 0]);
            $ours->afterWriting(0.0);
        };
        $write();
        $write();
        self::assertFalse($ours->areOthersAbout(), 'its own writing is nobody else');

        DB::commit();
        $others->exec('create table somebody (id integer)');
        $write();
        self::assertTrue($ours->areOthersAbout());
        for ($i = 0; $i < 20; $i++) {
            self::assertTrue($ours->areOthersAbout());
            $write();
        }
        self::assertFalse($ours->areOthersAbout(), 'they have gone');
    }
}
