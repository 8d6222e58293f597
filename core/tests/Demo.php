<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use EmberDusk\Costing\Basis;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Shelf;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;

/** The demo shelf and job, and plans made from them by changes. */
final class Demo implements ShelfSource
{
    /** @var array<string, array<array-key, mixed>> */
    private array $written;

    private function __construct()
    {
        $this->written = Shelf::file((string) file_get_contents(dirname(__DIR__, 2) . '/database/demo/shelf.json'));
    }

    public static function shelf(): self
    {
        static $shelf = null;
        if ($shelf instanceof self) {
            return $shelf;
        }

        return $shelf = new self();
    }

    /** Its shelf, a crew without own times, no visits. */
    public static function basis(): Basis
    {
        return new Basis(self::shelf());
    }

    public function find(string $id): ?KitSnapshot
    {
        $written = $this->written[$id] ?? null;
        if ($written === null) {
            return null;
        }

        return new KitSnapshot(Shelf::hash($written), $written, Shelf::entry(new Fields($written)));
    }

    /** @return list<Entry> */
    public function entries(): array
    {
        return array_values(array_map(static fn(array $w): Entry => Shelf::entry(new Fields($w)), $this->written));
    }

    public function ofKind(string $kind): array
    {
        $found = [];
        foreach ($this->written as $id => $written) {
            if ($written['kind'] === $kind) {
                $found[] = $this->find($id);
            }
        }

        return array_values(array_filter($found));
    }

    public static function text(): string
    {
        return JobFile::write(self::plan());
    }

    /** One room of the demo world: an 18 m tunable-white cove whose ends meet, fed at its start. */
    public static function plan(): Plan
    {
        $plan = JobFile::read((string) file_get_contents(__DIR__ . '/golden/job-v1.json'));
        $notes = $plan->places['lecture']->notes;

        return self::with(
            $plan,
            [
                'kind' => 'ReviseNotes',
                'place' => 'lecture',
                'text' => $notes . "\ndry\noutlet P1 dais, circuit C2\nrun cove, profile, room light",
            ],
            // The entry of that day had no dimming frequency.
            ['kind' => 'RefreshKit', 'kit' => 'controller-zigbee-2'],
        );
    }

    /** Jobs that ship as demo data. */
    public const SHIPPED = ['observatory', 'narrowboat', 'hide'];

    /** A job of the tests' own: the observatory with its cove only, the narrowboat without kit. */
    public static function file(string $name): string
    {
        return (string) file_get_contents(__DIR__ . "/fixtures/job-{$name}.json");
    }

    /** A job file that ships as demo data. */
    public static function shipped(string $name): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2) . "/database/demo/job-{$name}.json");
    }

    /** @param  array<string, mixed>|ChangePayload  ...$changes */
    public static function with(Plan $plan, array|ChangePayload ...$changes): Plan
    {
        foreach ($changes as $change) {
            $plan = Catalogue::read(
                $change instanceof ChangePayload ? $change->write() : $change,
                self::shelf(),
            )->apply($plan);
            Invariants::check($plan);
        }

        return $plan;
    }

    /** A plan with one straight run of that length and kit, fed at its start. */
    public static function run(string $metres, string $strip, string $supply, string $controller, string $cable): Plan
    {
        return self::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n{$metres} line"],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $strip],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $supply],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $controller],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $cable],
        );
    }
}
