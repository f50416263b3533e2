<?php

declare(strict_types=1);

namespace Tests\Attack;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** What `./harmozon start` keeps running: children that die are replaced, nothing is left behind, and two do not fight for one port. */
final class StartTest extends TestCase
{
    private Started $house;

    protected function setUp(): void
    {
        $this->house = new Started;
    }

    public function test_what_dies_begins_again_and_nothing_is_left_behind(): void
    {
        $house = $this->house;
        $house->begin();
        [$server, $worker] = $house->groups();
        $answering = $house->processesOf($server);
        posix_kill((int) end($answering), SIGKILL);
        Started::until(static fn (): bool => $house->groups()[0] !== $server && $house->isOpen(), 'a child that died is replaced');
        posix_kill((int) $worker, SIGKILL);
        Started::until(static fn (): bool => ($house->groups()[1] ?? $worker) !== $worker, 'so is the worker');
        $server = $house->groups()[0];
        posix_kill((int) $server, SIGKILL);
        Started::until(static fn (): bool => $house->groups()[0] !== $server && $house->isOpen(), 'and the one that listens, whose children hold the port');

        $left = $house->groups();
        $house->watcher()?->signal(SIGTERM);
        $house->watcher()?->wait();
        self::assertSame([[], []], array_map($house->processesOf(...), $left));
        self::assertFalse($house->isOpen());
    }

    public function test_what_an_earlier_one_left_behind_is_ended_and_a_second_says_who_is_there(): void
    {
        $house = $this->house;
        $house->begin();
        $second = $house->process();
        self::assertSame(1, $second->run());
        self::assertStringContainsString("port {$house->port()} is served from this folder already, by process {$house->watcher()?->getPid()}", $second->getErrorOutput());

        $left = $house->groups();
        $house->watcher()?->signal(SIGKILL);
        Started::until(static fn (): bool => $house->watcher()?->isRunning() === false, 'it is gone');
        self::assertTrue($house->isOpen(), 'its server goes on alone');
        $house->begin();
        self::assertNotSame($left, $house->groups());
        self::assertSame([[], []], array_map($house->processesOf(...), $left));
    }

    public function test_a_port_that_another_program_holds_is_told_with_its_holder(): void
    {
        $house = $this->house;
        $other = new Process([PHP_BINARY, '-S', "127.0.0.1:{$house->port()}", '-t', $house->folder()]);
        $other->start();
        Started::until($house->isOpen(...), 'the other program listens');
        $refused = $house->process();

        self::assertSame(1, $refused->run());
        self::assertStringContainsString("port {$house->port()} is taken by process {$other->getPid()}", $refused->getErrorOutput());
        self::assertTrue($house->isOpen(), 'it is left alone');
        $other->stop(1);
    }
}
