<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Licences\Licences;
use App\Version;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Tests\TestCase;

/** The version and the licences of everything that ships. */
final class AboutTest extends TestCase
{
    use RefreshDatabase;

    /** Everything that ships has a licence under which it may, and fonts have its text with them, as theirs asks. */
    public function test_everything_that_ships_may_ship(): void
    {
        $shipped = Licences::shipped();
        $names = array_column($shipped, 'licence', 'name');
        foreach ($shipped as $one) {
            self::assertContains($one['licence'], Licences::ALLOWED, $one['name']);
            if (preg_match('/^(OFL|LGPL)/', $one['licence']) === 1) {
                self::assertNotSame('', trim($one['text']), $one['name']);
            }
        }
        // What the two lists of packages ask for is among it, tools are not.
        $composer = json_decode((string) file_get_contents(base_path('composer.json')), true);
        $npm = json_decode((string) file_get_contents(base_path('package.json')), true);
        self::assertIsArray($composer);
        self::assertIsArray($npm);
        $asked = preg_grep('#/#', array_map(strval(...), array_keys($composer['require']))) ?: [];
        self::assertSame(
            [],
            array_values(array_diff([...$asked, ...array_keys($npm['dependencies'])], array_keys($names))),
        );
        self::assertArrayNotHasKey('phpunit/phpunit', $names);
        self::assertArrayNotHasKey('eslint', $names);
    }

    public function test_the_version_is_told_and_has_its_changes(): void
    {
        // Pages that another version compiled are never shown by this one.
        self::assertSame(storage_path('framework/views/' . Version::text()), config('view.compiled'));
        self::assertMatchesRegularExpression('/^\d+\.\d+\.\d+$/', Version::text());
        self::assertSame(0, Artisan::call('ember:version'));
        self::assertSame(Version::text(), trim(Artisan::output()));
        self::assertStringContainsString(
            "\n## " . Version::text() . "\n",
            (string) file_get_contents(base_path('CHANGELOG.md')),
        );
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));
        $this->get('/about')->assertOk()->assertSee(Version::text());
        $this->get("/jobs/{$job->id}/sheet")
            ->assertOk()
            ->assertSee('Made with Ember Dusk ' . Version::text());
        $texts = (string) $this->get('/about/licences.txt')->assertOk()->getContent();
        self::assertStringContainsString('SIL OPEN FONT LICENSE', strtoupper($texts));
        self::assertStringContainsString('GNU LESSER GENERAL PUBLIC LICENSE', strtoupper($texts));
    }
}
