<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
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
        // Supply 49.00 with 15 % on it; ten lengths of two metres of profile at 6.50 a metre, as the
        // saw takes something at four corners: 130.00 and 15 %.
        self::assertStringContainsString('56.35', $html);
        self::assertMatchesRegularExpression(
            '~Flat profile, 2 m</td>\s*<td class="right">10 lengths</td>\s*<td class="right">149.50~',
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

    /** Deposit, validity and conditions are printed if they are set; without tax it states so. */
    public function test_a_quote_prints_its_terms(): void
    {
        $text = fn(): string => (string) preg_replace(
            '/\s+/',
            ' ',
            strip_tags(
                (string) $this->get("/jobs/{$this->job->id}/quote")
                    ->assertOk()
                    ->getContent(),
            ),
        );
        self::assertDoesNotMatchRegularExpression('/Deposit|Valid until|no tax/', $text());
        $this->postJson("/jobs/{$this->job->id}/change", [
            'stage' => 'parts',
            'base' => $this->job->newest()->number,
            'change' => [
                'kind' => 'SetTerms',
                'tax' => 0,
                'deposit' => 0.3,
                'validDays' => 14,
                'conditions' => "Payment within 10 days.\nA ladder is on site.",
            ],
        ])->assertOk();
        $said = $text();
        preg_match('/total (\d+\.\d\d)/', $said, $total);
        preg_match('/Deposit: 30 %, (\d+\.\d\d) EUR/', $said, $deposit);
        self::assertEqualsWithDelta(0.3 * (float) ($total[1] ?? 0), (float) ($deposit[1] ?? 0), 0.006);
        self::assertStringContainsString('no tax added', $said);
        self::assertStringContainsString(
            'Valid until ' . Clock::local(Clock::now())->addDays(14)->format('Y-m-d'),
            $said,
        );
        self::assertStringContainsString('Payment within 10 days. A ladder is on site.', $said);
    }

    public function test_lists_changes_since_the_last_sent_quote(): void
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

    /** An hour at 50 instead of 40: a quarter more on every line of work and on its tax, and nothing else; nothing is kept by looking. */
    public function test_previews_the_effect_of_other_terms(): void
    {
        $before = $this->answer($this->getJson("/jobs/{$this->job->id}/quotes"), 'quoteState');
        // As the page sends it: every term, without conditions.
        $terms = $this->job->newest()->plan()->terms->write();
        $change = ['kind' => 'SetTerms'] + array_diff_key($terms, ['length' => 0, 'wire' => 0, 'hoursADay' => 0]);
        $change['hourRate'] = 50;
        self::assertSame('', $change['conditions']);
        $told = $this->answer(
            $this->postJson("/jobs/{$this->job->id}/quotes/preview", ['stage' => 'parts', 'change' => $change]),
            'quoteMove',
        );
        $work = array_diff(array_column($before['work'], 'what'), ['Ways back and forth']);
        self::assertSame([...array_values($work), 'Tax'], array_column($told['lines'], 'what'));
        foreach ($told['lines'] as $line) {
            $was = array_column($before['work'], 'amount', 'what')[$line['what']] ?? null;
            if ($was !== null) {
                self::assertEqualsWithDelta((float) $was / 4, (float) $line['difference'], 0.0101, $line['what']);
            }
        }
        self::assertSame(
            $before,
            $this->answer($this->getJson("/jobs/{$this->job->id}/quotes"), 'quoteState'),
            'looking keeps nothing',
        );
        $this->postJson("/jobs/{$this->job->id}/change", [
            'base' => 1,
            'stage' => 'parts',
            'change' => $change,
        ])->assertOk();
        $after = $this->answer($this->getJson("/jobs/{$this->job->id}/quotes"), 'quoteState');
        self::assertEqualsWithDelta(
            (float) $told['moves']['text'],
            (float) $after['total']['text'] - (float) $before['total']['text'],
            1e-6,
        );
        self::assertSame([50.0, 0.2], [(float) $after['terms']['hourRate'], $after['terms']['tax']], 'the others stay');
    }

    public function test_terms_that_cannot_be_are_refused_where_they_stand(): void
    {
        foreach (
            [
                ['hourRate' => -1],
                ['tax' => 2],
                ['currency' => 'euro'],
                ['rates' => [['currency' => 'USD', 'rate' => 0]]],
                ['travelMinutes' => 1e9],
            ]
            as $bad
        ) {
            $response = $this->postJson("/jobs/{$this->job->id}/quotes/preview", [
                'stage' => 'parts',
                'change' => ['kind' => 'SetTerms', ...$bad],
            ])->assertStatus(422);
            self::assertStringContainsString((string) array_key_first($bad), (string) json_encode($response->json()));
        }
    }
}
