<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Arrows point one way: the core knows PHP, PSR interfaces, decimal arithmetic and itself. Run by PHPStan. */
final class CoreStandsAloneTest
{
    public function test_core_imports_nothing_from_the_application(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Harmozon\Core'))
            ->excluding(Selector::inNamespace('Harmozon\Core\Tests'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Harmozon\Core'),
                Selector::inNamespace('Psr'),
                Selector::inNamespace('Brick\Math'),
                Selector::isStandardClass(),
            )
            ->because('every rule of the job must be testable without framework, database or clock');
    }
}
