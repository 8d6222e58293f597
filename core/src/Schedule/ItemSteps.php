<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Source;

/** Steps of what stands beside the chains of the runs: sets are laid, panels fixed, bridges plugged in, plugs fitted. */
final readonly class ItemSteps
{
    /** By kind of the shelf: what is done, why, tools, caution. */
    private const WORK = [
        'remote' => ['cells in, zones labelled', 'A zone that nobody can name is not used.', ['labels'], ''],
        'panel' => [
            'fix it, once it is joined',
            'One that is fixed cannot be carried to its controller any more.',
            ['screwdriver'],
            'Its mains is connected by a licensed person; local codes decide.',
        ],
        'board' => [
            'screw it into its box, set its jumpers',
            'Volts and data pin by jumper: before anything is joined to it.',
            ['screwdriver', 'meter'],
            'Supply off while a jumper is set.',
        ],
        'bridge' => ['plug it in, near what it reaches', 'Radio passes badly through metal boxes.', [], ''],
        'assistant' => ['set it up on the client’s account', 'The account stays with the client.', ['phone'], ''],
        'phone' => [
            'the app and its account on it',
            'Some settings live in one phone only: the one that stays.',
            [],
            '',
        ],
        'server' => [
            'plug it in, set it up on the client’s account',
            'The account stays with the client.',
            ['phone'],
            '',
        ],
        'rearranged' => [
            'hang as many as may hang there, then all on',
            'The client rearranges them: proved at the most.',
            ['meter'],
            'Supply off before one is moved.',
        ],
        'plug' => [
            'fit it, pins in the order of its label',
            'Both halves alike, then pulled at.',
            ['crimping or screw tool', 'meter'],
            'Nothing is live while a plug is fitted.',
        ],
        'fork' => [
            'fit it, each branch marked',
            'Its stem carries what all branches take.',
            ['labels', 'meter'],
            'Nothing is live while a plug is fitted.',
        ],
    ];

    public function __construct(private Plan $plan, private StepList $list) {}

    /**
     * @param  list<string>  $before
     * @return list<string> the last step of each
     */
    public function of(string $place, string $name, array $before): array
    {
        $last = [];
        foreach ($this->plan->items as $id => $item) {
            $kit = $this->plan->kit[$item->kit] ?? null;
            if ($item->place !== $place || $kit === null) {
                continue;
            }
            $kind = $kit->kind();
            if ($kind === 'set') {
                $last[] = $this->set($item, $name, $before);
            } elseif (isset(self::WORK[$kind])) {
                [$title, $why, $tools, $caution] = self::WORK[$kind];
                $last[] = $this->list->add(
                    kind: 'item',
                    of: (string) $id,
                    place: $name,
                    title: ($item->count > 1 ? "{$item->count} x " : '') . $kit->entry->name() . ": {$title}",
                    why: $why . self::told($kit),
                    units: (float) $item->count,
                    people: 1,
                    tools: $tools,
                    caution: $kind === 'panel' && $this->plan->sourceOf((string) $id) !== Source::Mains ? '' : $caution,
                    after: $before,
                    wait: 0,
                    needs: [$item->kit],
                );
            }
        }

        return $last;
    }

    /** What its instructions say of jumpers and pins, behind the reason of its step. */
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
            kind: 'supply',
            of: $of,
            place: $name,
            title: "{$title}: fix supply and receiver of the set",
            why: 'Its plugs reach no farther than its leads.',
            units: (float) self::UNITS * $item->count,
            people: 1,
            tools: ['drill', 'screwdriver'],
            caution: 'Leave air around a supply.',
            after: $before,
            wait: 0,
            needs: [$item->kit],
        );
        $tried = $this->list->add(
            kind: 'loose',
            of: $of,
            place: $name,
            title: "{$title}: loose test",
            why: 'The whole set is tried before anything is stuck.',
            units: (float) $item->count,
            people: 1,
            tools: [],
            caution: 'Never cut a set that its leaflet does not let you cut.',
            after: [$fixed],
        );

        return $this->list->add(
            kind: 'stick',
            of: $of,
            place: $name,
            title: "{$title}: clean, then stick in short stretches",
            why: 'It holds on clean ground only; no creases.',
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
