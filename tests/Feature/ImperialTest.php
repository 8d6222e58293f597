<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A job in feet and inches says no length in metres, on a screen or on paper. */
final class ImperialTest extends TestCase
{
    use RefreshDatabase;

    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        foreach (['survey', 'wire', 'bench', 'build', 'day-sheets', 'sheet'] as $page) {
            yield $page => [$page];
        }
    }

    /** Names of goods keep what their makers print, such as “Opal diffuser, 2 m”: they have no decimals. */
    #[DataProvider('pages')]
    public function test_lengths_are_in_feet_and_inches(string $page): void
    {
        $crew = $this->crew();
        $job = (new Revisions())->begin($crew, null, JobFile::read(Demo::shipped('narrowboat')), 'Imported');
        $text = html_entity_decode(
            (string) $this->actingAs($this->user($crew))
                ->get("/jobs/{$job->id}/{$page}")
                ->getContent(),
        );
        self::assertMatchesRegularExpression('/\d ft/', $text);
        // A working calculates in metres.
        $text = (string) preg_replace('/"meaning":"[^"]*"/', '', $text);
        // Said in both: the distance of a fuse from a battery.
        preg_match_all('/.{0,60}\d\.\d+ m\b(?! \(7 in\)).{0,20}/u', $text, $metres);
        self::assertSame([], $metres[0]);
    }
}
