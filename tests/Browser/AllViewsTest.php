<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** The views beside those of {@see ViewsTest}: a class of their own, so that both processes have some. */
final class AllViewsTest extends BrowserTestCase
{
    use ReadableByAll;

    /** @return iterable<string, array{string, string}> */
    public static function views(): iterable
    {
        yield 'Practice trees' => ['/practice', 'Draw me a tree'];
        yield 'A practice tree' => ['/practice/central-european-hills.06.k3f9x', 'What is it, and what would you do?'];
        yield 'Two minutes' => ['/drills', 'How sure'];
        yield 'What I confuse' => ['/learning', 'By character'];
        yield 'Do we agree' => ['/agreement', 'Flower cluster'];
        yield 'Trust' => ['/trust', 'What was granted'];
        yield 'What we misread' => ['/rates', 'For the next edition'];
        yield 'Cards' => ['/cards?taxon=sambucus-nigra', 'printed pages'];
        yield 'Groups' => ['/groups', 'What can be done at trees'];
        yield 'A group' => ['/groups/b2c1f0de-3f27-4d8e-9c53-000000000000', 'Afterwards'];
        yield 'One tree' => ['/my-tree', 'Print the album'];
        yield 'Walk a place' => ['/surveys', 'Begin a walk'];
        yield 'Pastures' => ['/pastures', 'Lane pasture'];
        yield 'After a storm' => ['/storms', 'Lay a round'];
        yield 'A day’s hazards' => ['/hazards', 'To be read out'];
        yield 'Something swallowed' => ['/swallowed', 'Call first'];
        yield 'Trials' => ['/trials', 'fire steel'];
        yield 'Woods' => ['/woods', 'last in the ground'];
        yield 'Reckon' => ['/reckon', 'A board moves'];
        yield 'Tags' => ['/tags', 'Print'];
        yield 'Files' => ['/exchange', 'Darwin Core Archive'];
        yield 'Devices' => ['/people/devices', 'Position receiver'];
        yield 'Places' => ['/places', 'Enter a place'];
        yield 'A new place' => ['/places/new', 'Rules of the place'];
        yield 'People' => ['/people', 'Who did what'];
        yield 'How the server runs' => ['/running', 'Free where it lies'];
    }

    #[DataProvider('views')]
    public function testEveryViewIsReadableByAll(string $path, string $text): void
    {
        $this->readableByAll($path, $text);
    }
}
