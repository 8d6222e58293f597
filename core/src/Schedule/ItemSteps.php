<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Source;

/** Steps of other items: sets are laid, panels mounted, bridges plugged in, plugs fitted. */
final readonly class ItemSteps
{
    /** By kind of kit: action, reason, tools, caution. */
    private const WORK = [
        'remote' => ['cells in, zones labelled', 'Label every zone.', ['labels'], ''],
        'panel' => [
            'mount it after joining',
            'Once mounted it cannot be carried to its controller.',
            ['screwdriver'],
            'Its mains is connected by a licensed person; local codes decide.',
        ],
        'bridge' => ['plug it in near its lights', 'Metal boxes block radio.', [], ''],
        'assistant' => ['set it up on the client’s account', 'The account stays with the client.', ['phone'], ''],
        'phone' => [
            'the app and its account on it',
            'Some settings are stored in one phone only: use the client’s.',
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
            'mount the modules up to the limit, then switch all on',
            'The client rearranges them: test at the maximum.',
            ['meter'],
            'Supply off before one is moved.',
        ],
        'plug' => [
            'fit it, pins in the order of its label',
            'Same pin order on both halves; pull to test.',
            ['crimping or screw tool', 'meter'],
            'Switch off before you fit a plug.',
        ],
        'fork' => [
            'fit it, each branch marked',
            'Its stem carries the current of all branches.',
            ['labels', 'meter'],
            'Switch off before you fit a plug.',
        ],
    ];

    public function __construct(private Plan $plan, private StepList $list) {}

    /** Kinds that must be ready before anything joins; a panel is mounted afterwards. Wiring is not touched for them. */
    private const READY = ['remote', 'bridge', 'assistant', 'phone', 'server'];

    /** @return list<string> steps that make remotes, apps and accounts ready */
    public static function beforeJoining(Plan $plan): array
    {
        $ready = array_filter(
            $plan->items,
            static fn(Item $i): bool => in_array(($plan->kit[$i->kit] ?? null)?->kind(), self::READY, true),
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
            if ($item->place !== $place || $kit === null || ($kit->kind() === 'panel') !== ($joins !== null)) {
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
                    caution: $kind === 'panel' && $this->plan->power()->sourceOf((string) $id) !== Source::Mains
                        ? ''
                        : $caution,
                    after: in_array($kind, self::READY, true)
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
            kind: 'supply',
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
            kind: 'loose',
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
            kind: 'stick',
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
