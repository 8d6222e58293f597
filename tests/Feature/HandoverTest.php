<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use Dompdf\Dompdf;
use Dompdf\Options;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;

final class HandoverTest extends TestCase
{
    use RefreshDatabase;

    public function test_what_people_typed_is_text_on_the_sheet(): void
    {
        $crew = $this->crew();
        $job = (new Revisions())->begin(
            $crew,
            null,
            new Plan(
                '<script>alert(1)</script>',
                '<b>Client</b>',
                places: ['room' => new Place('room', 'Room', '5 cove')],
            ),
            'Begun',
        );
        $html = (string) $this->actingAs($this->user($crew))
            ->get("/jobs/{$job->id}/sheet")
            ->assertOk()
            ->getContent();
        self::assertStringNotContainsString('<script>', $html);
        self::assertStringContainsString('&lt;script&gt;alert(1)&lt;/script&gt;', $html);
        self::assertStringContainsString('&lt;b&gt;Client&lt;/b&gt;', $html);
    }

    public function test_an_empty_job_has_a_sheet_too(): void
    {
        $crew = $this->crew();
        $job = (new Revisions())->begin(
            $crew,
            null,
            new Plan('Bare', '', places: ['room' => new Place('room', 'Room', '')]),
            'Begun',
        );
        $this->actingAs($this->user($crew));
        $this->get("/jobs/{$job->id}/handover")->assertInertia(
            fn(AssertableInertia $page) => $page
                ->component('Handover')
                ->where('sheet.runs', [])
                ->where('sheet.hub', null),
        );
        self::assertStringStartsWith(
            '%PDF-',
            (string) $this->get("/jobs/{$job->id}/sheet.pdf")
                ->assertOk()
                ->getContent(),
        );
        $this->postJson("/jobs/{$job->id}/join", ['speed' => 1])
            ->assertStatus(422)
            ->assertJsonPath('message', 'Choose a controller, and a hub, remote or phone for it, at Kit first.');
    }

    public function test_the_sheet_carries_the_revision_that_it_was_made_from(): void
    {
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));
        $this->postJson("/jobs/{$job->id}/change", [
            'stage' => 'wire',
            'base' => 1,
            'change' => ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
        ])->assertOk();
        $html = (string) $this->get("/jobs/{$job->id}/sheet")->getContent();
        self::assertStringContainsString('revision 2', $html);
        self::assertStringContainsString('C1 to 18.00 m of Cove', $html);
        self::assertStringContainsString('3.20 m (calculated)', $html);
        self::assertMatchesRegularExpression('/Open points at printing.*K3 is not measured yet/s', $html);
    }

    /** The client's part is two pages; everything for the next installer follows in an annex. */
    public function test_the_clients_part_of_a_demo_job_has_at_most_two_pages(): void
    {
        foreach (['observatory', 'narrowboat', 'hide'] as $name) {
            $crew = $this->crew();
            $job = (new Revisions())->begin($crew, null, JobFile::read(Demo::shipped($name)), 'Imported');
            $html = (string) $this->actingAs($this->user($crew, "{$name}@firm.example"))
                ->get("/jobs/{$job->id}/sheet")
                ->getContent();
            $annex = strpos($html, '<div class="annex head">') ?: self::fail('no annex');
            self::assertLessThanOrEqual(2, self::pages(substr($html, 0, $annex) . '</body></html>'), $name);
            // Eight lights, each with its way back.
            self::assertLessThanOrEqual(12, self::pages($html), $name);
            foreach (['Which control works which light', 'Daily use', 'After a loss'] as $part) {
                self::assertStringContainsString($part, substr($html, 0, $annex), $name);
            }
            self::assertStringNotContainsString('<table></table>', (string) preg_replace('/\s+/', '', $html), $name);
        }
    }

    private static function pages(string $html): int
    {
        $pdf = new Dompdf(
            new Options(['defaultFont' => 'DejaVu Sans', 'fontCache' => storage_path('framework/cache')]),
        );
        $pdf->loadHtml($html);
        $pdf->setPaper('A4');
        $pdf->render();

        return $pdf->getCanvas()->get_page_count();
    }

    public function test_the_netlist_downloads_under_the_jobs_name(): void
    {
        $job = $this->job($this->crew());
        $response = $this->actingAs($this->user($job->crew))
            ->get("/jobs/{$job->id}/netlist")
            ->assertOk();
        self::assertStringContainsString(
            'pebble-fen-observatory.cir',
            (string) $response->headers->get('Content-Disposition'),
        );
        self::assertStringContainsString('.op', (string) $response->getContent());
    }
}
