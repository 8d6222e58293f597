<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\Assistants;
use EmberDusk\Control\CommandMeaning;
use EmberDusk\Control\Speech;
use EmberDusk\Control\Vocabulary;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Light;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Voice commands in several phrasings, and their meaning: written before they were tried. */
final class SpeechTest extends TestCase
{
    private static function hear(string $said): CommandMeaning
    {
        return (new Speech(new Vocabulary(Sentences::LIGHTS, Sentences::ROOMS, Sentences::SCENES)))->hear($said);
    }

    public function test_there_are_at_least_eighty_sentences(): void
    {
        self::assertGreaterThanOrEqual(
            80,
            count(Sentences::understood()) + count(Sentences::scenes()) + count(Sentences::refused()),
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function said(): iterable
    {
        foreach (Sentences::understood() as $said => $meant) {
            yield $said => [$said, $meant];
        }
    }

    /** @param  array<string, mixed>  $meant */
    #[DataProvider('said')]
    public function test_understands_a_sentence(string $said, array $meant): void
    {
        $heard = self::hear($said);
        self::assertSame('', $heard->trouble);
        $found = $heard->lights;
        sort($found);
        $none = ['level' => null, 'colour' => '', 'kelvin' => null, 'step' => null, 'warmer' => null];
        self::assertEquals($meant + $none, [
            'lights' => $found,
            'level' => $heard->level,
            'colour' => $heard->colour,
            'kelvin' => $heard->kelvin,
            'step' => $heard->step,
            'warmer' => $heard->warmer,
        ]);
    }

    public function test_scenes_and_shows_are_started_by_their_name(): void
    {
        foreach (Sentences::scenes() as $said => $scene) {
            self::assertSame($scene, self::hear($said)->scene, $said);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        foreach (Sentences::refused() as $said => $reason) {
            yield "“{$said}”" => [(string) $said, $reason];
        }
        yield '300 letters' => [str_repeat('blah ', 100) . 'on', 'called'];
    }

    #[DataProvider('refused')]
    public function test_refuses_what_it_does_not_understand_and_says_why(string $said, string $reason): void
    {
        $heard = self::hear($said);
        self::assertStringContainsString($reason, $heard->trouble);
        self::assertSame([[], ''], [$heard->lights, $heard->scene]);
    }

    /** A light is called like a word that asks for something: its exact name is still its name. */
    public function test_an_exact_name_goes_before_every_other_meaning(): void
    {
        $speech = new Speech(new Vocabulary(['c1' => 'Half moon', 'c2' => 'Never land', 'c3' => 'Dim corner']));
        self::assertSame([['c1'], 1.0], [$speech->hear('half moon on')->lights, $speech->hear('half moon on')->level]);
        self::assertSame(['c2'], $speech->hear('never land off')->lights);
        self::assertSame(
            [['c3'], 0.5],
            [$speech->hear('dim corner to 50')->lights, $speech->hear('dim corner to 50')->level],
        );
    }

    private static function observatory(): Plan
    {
        return JobFile::read((string) file_get_contents(dirname(__DIR__, 3) . '/database/demo/job-observatory.json'));
    }

    /** On the demo job: the assistant reads the hub, and knows nothing of the 2.4 GHz jetty and the pixel band. */
    public function test_which_lights_answer_on_the_simulated_devices(): void
    {
        $spoken = (new Assistants(self::observatory()))->say('all but the cove, 30 %');
        self::assertSame(
            ['c2' => true, 'c3' => true, 'c4' => true, 'c5' => false, 'c6' => false, 'm1' => true, 'm2' => false],
            array_column($spoken->answers, 'answers', 'light'),
        );
        self::assertSame([0.3, 0.3, 0.3], array_slice(array_column($spoken->answers, 'level'), 0, 3));
        self::assertStringContainsString('no voice assistant', $spoken->answers[3]->why);
        $coloured = (new Assistants(self::observatory()))->say('make the bench blue');
        self::assertSame([false, 'it has no colours'], [$coloured->answers[0]->answers, $coloured->answers[0]->why]);
    }

    /** A room named instead of one light is reported; a show starts like a scene. */
    public function test_reports_a_room_and_starts_a_show(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $plan = $plan->with(
            lights: ['c1' => new Light('c1', 'Cove', 'Hall'), 'c3' => new Light('c3', 'Bench', 'Hall')] + $plan->lights,
        );
        self::assertSame(
            '“Hall” is a room: all 2 lights of it are meant.',
            (new Assistants($plan))->say('hall to 40 percent')->note,
        );
        self::assertSame('', (new Assistants($plan))->say('cove to 40 percent')->note);
        $show = (new Assistants($plan))->say('start open evening');
        self::assertSame('Scene “Open evening”.', $show->words);
        self::assertContains('c1', array_column($show->answers, 'light'));
    }
}
