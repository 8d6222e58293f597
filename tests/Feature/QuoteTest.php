<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

final class QuoteTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    public function test_a_quote_adds_up_by_hand(): void
    {
        $html = (string) $this->get("/jobs/{$this->job->id}/quote")
            ->assertOk()
            ->getContent();
        // Supply 49.00 with 15 % on it; nine lengths of two metres of profile at 6.50 a metre: 117.00 and 15 %.
        self::assertStringContainsString('56.35', $html);
        self::assertMatchesRegularExpression(
            '~Flat profile, 2 m</td>\s*<td class="right">9 lengths</td>\s*<td class="right">134.55~',
            $html,
        );
        preg_match_all('~<td class="right">(\d+\.\d\d)</td></tr>~', $html, $found);
        $sums = array_map(static fn(string $s): int => (int) round(100 * (float) $s), $found[1]);
        [$net, $tax, $total] = array_slice($sums, -3);
        self::assertSame($net, array_sum(array_slice($sums, 0, -3)));
        self::assertSame([(int) round(0.2 * $net), $net + $tax], [$tax, $total]);
        self::assertStringStartsWith(
            '%PDF',
            (string) $this->get("/jobs/{$this->job->id}/quote.pdf")
                ->assertOk()
                ->getContent(),
        );
    }

    public function test_what_has_changed_since_one_was_given_is_told(): void
    {
        self::assertNull($this->answer($this->getJson("/jobs/{$this->job->id}/quotes"), 'quoteState')['given']);
        $given = $this->answer($this->postJson("/jobs/{$this->job->id}/quotes"), 'quoteState');
        self::assertSame([$given['total']['text'], []], [$given['given']['total'], $given['given']['changes']]);
        $this->postJson("/jobs/{$this->job->id}/change", [
            'base' => 1,
            'stage' => 'wire',
            'change' => ['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => 'supply-24-320'],
        ])->assertOk();
        $now = $this->answer($this->getJson("/jobs/{$this->job->id}/quotes"), 'quoteState');
        self::assertSame(
            [['24 V supply, 10 A', '1', '–', '-56.35'], ['24 V supply, 13.4 A', '–', '1'], ['Tax', '20 %', '20 %']],
            array_map(
                static fn(array $c): array => array_slice(array_values($c), 0, $c['now'] === '–' ? 4 : 3),
                $now['given']['changes'],
            ),
        );
        self::assertSame($given['total']['text'], $now['given']['total'], 'what was given stays as it was');
    }
}
