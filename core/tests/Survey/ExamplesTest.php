<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Survey;

use EmberDusk\Survey\WallNotes;
use PHPUnit\Framework\TestCase;

/** Example notes that an empty Survey offers: read without a slip, each with a run and its power. */
final class ExamplesTest extends TestCase
{
    public function test_every_example_is_read_whole(): void
    {
        $document = json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/data/examples.json'), true);
        self::assertIsArray($document);
        $kinds = [];
        foreach ($document['examples'] as ['name' => $name, 'notes' => $notes]) {
            $sheet = WallNotes::read($notes);
            self::assertSame([], $sheet->slips, $name);
            self::assertTrue($sheet->site->said, "{$name}: its lengths are an open point");
            self::assertCount(1, $sheet->runs, $name);
            self::assertGreaterThan(0.0, array_values($sheet->runs)[0]->length(), $name);
            $kinds[] = [$sheet->closed, $sheet->site->outlets !== [], $sheet->site->batteries !== []];
        }
        self::assertSame([[false, true, false], [true, true, false], [true, false, true]], $kinds);
    }
}
