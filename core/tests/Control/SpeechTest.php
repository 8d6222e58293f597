<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\Assistants;
use EmberDusk\Control\Speech;
use EmberDusk\Control\Vocabulary;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Light;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What people say, in several phrasings, and what is meant by it: written down before it was tried. */
final class SpeechTest extends TestCase
{
    private static function vocabulary(): Vocabulary
    {
        return new Vocabulary(
            ['c1' => 'Bar', 'c2' => 'Snug left', 'c3' => 'Red shelf', 'c4' => 'Beam'],
            ['Lounge' => ['c1', 'c4'], 'Snug' => ['c2', 'c3']],
            ['talk' => 'Talk', 'night' => 'Night sky'],
        );
    }

    /** @return iterable<string, array{string, list<string>, float|null, 3?: string, 4?: int}> */
    public static function said(): iterable
    {
        yield 'plain' => ['bar on', ['c1'], 1.0];
        yield 'with manners' => ['Please turn the bar off, thank you', ['c1'], 0.0];
        yield 'in words' => ['dim the bar to thirty', ['c1'], 0.3];
        yield 'in two words' => ['set snug left to twenty five percent', ['c2'], 0.25];
        yield 'in figures' => ['bar 5%', ['c1'], 0.05];
        yield 'more than all' => ['beam 250 percent', ['c4'], 1.0];
        yield 'half' => ['lounge lights to half', ['c1', 'c4'], 0.5];
        yield 'a room' => ['switch the snug off', ['c2', 'c3'], 0.0];
        yield 'two of them' => ['turn the bar and the beam on', ['c1', 'c4'], 1.0];
        yield 'everything' => ['everything off', ['c1', 'c2', 'c3', 'c4'], 0.0];
        yield 'all but one' => ['all but the bar, 30 %', ['c2', 'c3', 'c4'], 0.3];
        yield 'all but a room' => ['everything except the lounge off', ['c2', 'c3'], 0.0];
        yield 'a room but one' => ['lounge without the beam to 10 percent', ['c1'], 0.1];
        yield 'a colour' => ['make the beam deep red', ['c4'], null, 'deep red'];
        yield 'a light that is called by a colour' => ['red shelf on', ['c3'], 1.0];
        yield 'that light in another colour' => ['red shelf blue', ['c3'], null, 'blue'];
        yield 'a white' => ['warm white in the lounge', ['c1', 'c4'], null, '', 2700];
        yield 'a white in kelvin' => ['beam to 4000 kelvin', ['c4'], null, '', 4000];
        yield 'misheard' => ['snug lift on', ['c2'], 1.0];
    }

    /** @param  list<string>  $lights */
    #[DataProvider('said')]
    public function test_what_is_said_is_understood(
        string $said,
        array $lights,
        ?float $level,
        string $colour = '',
        ?int $kelvin = null,
    ): void {
        $heard = (new Speech(self::vocabulary()))->hear($said);
        self::assertSame('', $heard->trouble);
        $found = $heard->lights;
        sort($found);
        self::assertSame($lights, $found);
        self::assertSame([$level, $colour, $kelvin], [$heard->level, $heard->colour, $heard->kelvin]);
    }

    public function test_scenes_are_started_by_their_name(): void
    {
        $speech = new Speech(self::vocabulary());
        foreach (['Night sky', 'start the night sky scene please', 'set scene night sky'] as $said) {
            self::assertSame('night', $speech->hear($said)->scene);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function nonsense(): iterable
    {
        yield 'nothing' => ['', 'Nothing was said'];
        yield 'signs' => ['?!?', 'Nothing was said'];
        yield 'no name' => ['cellar on', 'The nearest is'];
        yield 'no deed' => ['bar', 'What shall Bar do?'];
        // Left out by a name that nobody has: too many would answer.
        yield 'all but nobody' => ['all but the cellar off', 'called “cellar”'];
        yield 'another script' => ['月 on', 'called “月”'];
        yield '300 letters' => [str_repeat('blah ', 100) . 'on', 'called'];
        yield 'no name at all' => ['turn it on', 'called “it”'];
    }

    #[DataProvider('nonsense')]
    public function test_what_means_nothing_is_said_back(string $said, string $trouble): void
    {
        $heard = (new Speech(self::vocabulary()))->hear($said);
        self::assertStringContainsString($trouble, $heard->trouble);
        self::assertSame([], $heard->lights);
    }

    private static function observatory(): Plan
    {
        return JobFile::read((string) file_get_contents(dirname(__DIR__, 3) . '/database/demo/job-observatory.json'));
    }

    /** On the demo job: the assistant reads the hub, and knows nothing of the 2.4 GHz jetty and the pixel band. */
    public function test_which_lights_answer_on_the_stand_ins(): void
    {
        $spoken = Assistants::say(self::observatory(), 'all but the cove, 30 %');
        self::assertSame(
            ['c2' => true, 'c3' => true, 'c4' => true, 'c5' => false, 'b1' => false],
            array_column($spoken->answers, 'answers', 'light'),
        );
        self::assertSame([0.3, 0.3, 0.3], array_slice(array_column($spoken->answers, 'level'), 0, 3));
        self::assertStringContainsString('no assistant', $spoken->answers[3]['why']);
        $coloured = Assistants::say(self::observatory(), 'make the bench blue');
        self::assertSame(
            [false, 'it has no colours'],
            [$coloured->answers[0]['answers'], $coloured->answers[0]['why']],
        );
    }

    /** A room is said where one light may have been meant: it is told; a show is started like a scene. */
    public function test_a_room_is_told_and_a_show_is_started(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $plan = $plan->with(
            lights: ['c1' => new Light('c1', 'Cove', 'Hall'), 'c3' => new Light('c3', 'Bench', 'Hall')] + $plan->lights,
        );
        self::assertSame(
            '“Hall” is a room: all 2 lights of it are meant.',
            Assistants::say($plan, 'hall to 40 percent')->note,
        );
        self::assertSame('', Assistants::say($plan, 'cove to 40 percent')->note);
        $show = Assistants::say($plan, 'start open evening');
        self::assertSame('Scene “Open evening”.', $show->words);
        self::assertContains('c1', array_column($show->answers, 'light'));
    }
}
