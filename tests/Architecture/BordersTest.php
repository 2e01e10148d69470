<?php

declare(strict_types=1);

namespace App\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Borders between the rooms, checked by the static analysis. */
final class BordersTest
{
    #[TestRule]
    public function theCoreUsesNothingButPhpAndPsr(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Hylognosis'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Hylognosis'), Selector::inNamespace('Psr'))
            ->because('the trade is plain PHP');
    }

    #[TestRule]
    public function nothingUsesTheApplicationButItsTests(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Hylognosis'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'))
            ->because('the core must run without the application');
    }
}
