<?php

declare(strict_types=1);

namespace Tests\Screens\Join;

use App\Screens\Join\JoinPicture;
use EmberDusk\Joining\Kit;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

final class JoinPictureTest extends TestCase
{
    public function test_the_picture_says_when_something_happens_next(): void
    {
        $run = new LiveRun(Kit::of(Demo::plan()), 3, []);
        $run->act('power-on', 'c1', 0);
        $run->act('press', 'c1', 20, 5);
        $picture = JoinPicture::of($run, 22);
        // Nothing searches: only the window's end is due, a hair after 15 s.
        self::assertEqualsWithDelta(21.4 + 15, $picture['nextAt'], 0.1);
    }
}
