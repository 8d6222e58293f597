<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Source;
use EmberDusk\Rates\Work;

/** Steps of other items: sets are laid, panels mounted, bridges plugged in, plugs fitted. */
final readonly class ItemSteps
{
    public function __construct(private Plan $plan, private StepList $list) {}

    /** @return list<string> steps that make remotes, apps and accounts ready */
    public static function beforeJoining(Plan $plan): array
    {
        $ready = array_filter(
            $plan->items,
            static fn(Item $i): bool => ($plan->kit[$i->kit] ?? null)?->beside()?->join === 'ready',
        );

        return array_map(static fn(Item $i): string => "item-{$i->id}", array_values($ready));
    }

    /**
     * @param  list<string>  $before
     * @param  JoinSteps|null  $joins  for panels, which are mounted after joining; null for the other items
     * @return list<string> the last step of each
     */
    public function steps(string $place, string $name, array $before, ?JoinSteps $joins = null): array
    {
        $last = [];
        foreach ($this->plan->items as $id => $item) {
            $kit = $this->plan->kit[$item->kit] ?? null;
            $beside = $kit?->beside();
            if ($item->place !== $place || $kit === null || ($beside?->join === 'after') !== ($joins !== null)) {
                continue;
            }
            $work = $beside?->work;
            if ($kit->kind() === 'set') {
                $last[] = $this->set($item, $name, $before);
            } elseif ($work !== null) {
                $last[] = $this->list->add(
                    kind: Work::Item,
                    of: (string) $id,
                    place: $name,
                    title: ($item->count > 1 ? "{$item->count} x " : '') . $kit->entry->name() . ": {$work->does}",
                    why: $work->why . self::told($kit),
                    units: (float) $item->count,
                    people: 1,
                    tools: $work->tools,
                    // Work on its mains only where it has one.
                    caution: $beside->power === 'choice' &&
                    $this->plan->power()->sourceOf((string) $id) !== Source::Mains
                        ? ''
                        : $work->caution,
                    after: $beside->join === 'ready'
                        ? []
                        : [...$before, ...$joins?->speaking((new Fields($kit->written))->strings('speaks')) ?? []],
                    wait: 0,
                    needs: [$item->kit],
                );
            }
        }

        return $last;
    }

    /** Jumper and pin instructions, added to the reason of its step. */
    private static function told(KitSnapshot $kit): string
    {
        $entry = new Fields($kit->written);
        $said = [
            'Jumpers' => $entry->stringOrNull('jumpers'),
            'Pins' => $entry->stringOrNull('order'),
        ];

        return implode(
            '',
            array_map(
                static fn(string $what, ?string $text): string => ($text ?? '') === '' ? '' : " {$what}: {$text}.",
                array_keys($said),
                $said,
            ),
        );
    }

    /**
     * Supply and receiver fixed, tried loosely, stuck.
     *
     * @param  list<string>  $before
     */
    private function set(Item $item, string $name, array $before): string
    {
        $run = $this->plan->runs[$item->on ?? ''] ?? null;
        $of = $run->id ?? $item->id;
        $title = $run?->name() ?? strtoupper($item->id);
        $fixed = $this->list->add(
            kind: Work::Supply,
            of: $of,
            place: $name,
            title: "{$title}: fix supply and receiver of the set",
            why: 'Its plugs reach only as far as its leads.',
            units: (float) self::UNITS * $item->count,
            people: 1,
            tools: ['drill', 'screwdriver'],
            caution: 'Leave air around a supply.',
            after: $before,
            wait: 0,
            needs: [$item->kit],
        );
        $tried = $this->list->add(
            kind: Work::Loose,
            of: $of,
            place: $name,
            title: "{$title}: loose test",
            why: 'Test the whole set before you stick it.',
            units: (float) $item->count,
            people: 1,
            tools: [],
            caution: 'Cut a set only where its instructions allow it.',
            after: [$fixed],
        );

        return $this->list->add(
            kind: Work::Stick,
            of: $of,
            place: $name,
            title: "{$title}: clean, then stick in short sections",
            why: 'It sticks to clean surfaces only; no creases.',
            units: $run?->length() ?? 1.0,
            people: 1,
            tools: ['cleaning alcohol', 'roller'],
            caution: 'Alcohol burns: air the room, no flame.',
            after: [$tried],
        );
    }

    /** Supply and receiver. */
    public const UNITS = 2;
}
