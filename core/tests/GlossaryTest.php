<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use EmberDusk\Values\Glossary;
use PHPUnit\Framework\TestCase;

/** The glossary: one entry per term, in order, and the same in the docs. */
final class GlossaryTest extends TestCase
{
    public function test_terms_are_in_alphabetical_order_and_explained_in_at_most_three_sentences(): void
    {
        $terms = Glossary::read()->terms;
        $sorted = array_keys($terms);
        sort($sorted);
        self::assertSame($sorted, array_keys($terms));
        foreach ($terms as $term => $text) {
            self::assertLessThanOrEqual(3, preg_match_all('/[.](?: |$)/', $text), $term);
            self::assertStringEndsWith('.', $text, $term);
        }
    }

    public function test_the_terms_of_a_ledger_are_explained(): void
    {
        $terms = Glossary::read()->terms;
        foreach (
            ['evenness', 'seam', 'headroom', 'colour shift', 'voltage drop', 'power injection', 'touch link']
            as $term
        ) {
            self::assertArrayHasKey($term, $terms);
        }
    }

    public function test_the_docs_have_the_same_entries(): void
    {
        self::assertSame(
            Glossary::read()->markdown(),
            file_get_contents(dirname(__DIR__, 2) . '/docs/glossary.md'),
            'bin/sources writes it again',
        );
    }
}
