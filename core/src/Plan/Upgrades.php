<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;

/** Brings a document of an older version to the newest one, version by version. Every released version is read for ever. */
final readonly class Upgrades
{
    /**
     * @param  array<array-key, mixed>  $document  held against its own version's schema
     * @return array<array-key, mixed>
     */
    public static function newest(array $document): array
    {
        foreach (
            [
                1 => self::terms(...),
                2 => self::making(...),
                3 => self::laying(...),
                4 => self::travel(...),
                5 => self::joining(...),
                6 => self::playing(...),
                7 => self::legs(...),
                8 => self::boards(...),
                9 => self::data(...),
                10 => self::worked(...),
                11 => self::parted(...),
            ]
            as $version => $upgrade
        ) {
            if (($document['version'] ?? null) === $version) {
                $document = $upgrade($document);
            }
        }

        return $document;
    }

    /**
     * 1 to 2: terms of the job, the client's kit, options, and how each run is mounted.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function terms(array $document): array
    {
        return [
            'version' => 2,
            'terms' => self::usual(),
            'owned' => [],
            'options' => [],
            'runs' => self::each($document['runs'] ?? null, ['mounting' => [], 'light' => '', 'height' => null]),
        ] + $document;
    }

    /**
     * 2 to 3: how runs are made up, spares, rates of other currencies; and what came to version 2 while it was the newest.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function making(array $document): array
    {
        $terms = is_array($document['terms'] ?? null) ? $document['terms'] : [];

        return [
            'version' => 3,
            'terms' => $terms + self::usual(),
            ...array_map(
                static fn(mixed $devices): array => self::each($devices, [
                    'setting' => null,
                    'series' => 1,
                    'parallel' => 1,
                    'where' => '',
                ]),
                array_intersect_key($document, ['supplies' => 1, 'controllers' => 1, 'hubs' => 1, 'modules' => 1]),
            ),
            'cables' => self::each($document['cables'] ?? null, ['joint' => null, 'fuse' => null, 'existing' => false]),
            'runs' => self::each($document['runs'] ?? null, [
                'part' => 1,
                'parts' => 1,
                'cap' => 1.0,
                'capChecked' => false,
                'zones' => [],
                'pins' => [],
            ]),
            'options' => self::each($document['options'] ?? null, ['cap' => 1.0]),
        ] +
            $document + [
                'splices' => [],
                'modules' => [],
                'fixtures' => [],
                'scenes' => [],
                'makings' => [],
                'spares' => [],
            ];
    }

    /**
     * 3 to 4: installation method of each cable, unknown before.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function laying(array $document): array
    {
        return ['version' => 4, 'cables' => self::each($document['cables'] ?? null, ['laid' => ''])] + $document;
    }

    /**
     * 4 to 5: runs before their split; positions of units; travel and the follow-up visit, which older jobs did not
     * price: their price stays.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function travel(array $document): array
    {
        $terms = is_array($document['terms'] ?? null) ? $document['terms'] : [];

        // A box or outlet had only a name: it belongs to the place of the unit's run.
        $places = [];
        if (is_array($document['runs'] ?? null)) {
            foreach ($document['runs'] as $run) {
                if (!is_array($run)) {
                    continue;
                }
                foreach ([$run['supply'] ?? null, $run['controller'] ?? null] as $unit) {
                    if (is_string($unit)) {
                        $places[$unit] ??= $run['place'] ?? '';
                    }
                }
            }
        }
        $stands = static function (mixed $device) use ($places): mixed {
            if (!is_array($device)) {
                return $device;
            }
            $spot = is_string($device['where'] ?? null) ? $device['where'] : '';
            $place = $places[is_string($device['id'] ?? null) ? $device['id'] : ''] ?? null;
            $known = $spot !== '' && is_string($place);

            $stands = $known ? (new Standing($place, $spot))->write() : null;

            return [
                'stands' => $stands,
                'bank' => null,
                'there' => false,
            ] + array_diff_key($device, ['where' => 0]);
        };

        return [
            'version' => 5,
            'splits' => [],
            'items' => [],
            'cables' => self::each($document['cables'] ?? null, ['switch' => null]),
            'terms' => $terms + ['travelMinutes' => 0.0, 'travelCost' => 0.0, 'again' => false],
            ...array_map(
                static fn(mixed $devices): array => array_map(
                    $stands,
                    is_array($devices) ? array_values($devices) : [],
                ),
                array_intersect_key($document, ['supplies' => 1, 'controllers' => 1, 'hubs' => 1, 'modules' => 1]),
            ),
        ] + $document;
    }

    /**
     * 5 to 6: used devices (unknown before), positions of other items, and manual decisions about controls.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function joining(array $document): array
    {
        return [
            'version' => 6,
            'answers' => [],
            'items' => self::each($document['items'] ?? null, ['stands' => null, 'used' => false]),
            ...array_map(
                static fn(mixed $devices): array => self::each($devices, ['used' => false]),
                array_intersect_key($document, ['supplies' => 1, 'controllers' => 1, 'hubs' => 1, 'modules' => 1]),
            ),
        ] + $document;
    }

    /**
     * 6 to 7: how lights are set up, shows and what starts them, where the job is; scenes came immediately before.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function playing(array $document): array
    {
        return [
            'version' => 7,
            'scenes' => self::each($document['scenes'] ?? null, ['fade' => 0.0]),
            'tunings' => [],
            'shows' => [],
            'triggers' => [],
            'position' => null,
        ] + $document;
    }

    /**
     * 7 to 8: the leg that a cable is part of, which no cable said.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function legs(array $document): array
    {
        $splits = array_map(
            static fn(mixed $split): mixed => is_array($split)
                ? ['cables' => self::each($split['cables'] ?? null, ['leg' => ''])] + $split
                : $split,
            is_array($document['splits'] ?? null) ? array_values($document['splits']) : [],
        );

        return [
            'version' => 8,
            'cables' => self::each($document['cables'] ?? null, ['leg' => '']),
            'splits' => $splits,
        ] + $document;
    }

    /**
     * 8 to 9: pixel boards, which were items beside the chain, are controllers with the same id; several of one item get ids of their own. The cables stay
     * as they were drawn: the pixels are fed by the supply.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function boards(array $document): array
    {
        $list = static fn(string $of): array => (new Fields($document))->objects($of);
        $boards = [];
        foreach ($list('kit') as $kit) {
            $boards[$kit->string('id')] = $kit->object('entry')->string('kind') === 'board';
        }
        [$runs, $controllers, $items] = [[], [], []];
        foreach ($list('runs') as $run) {
            $runs[$run->string('id')] = $run->all();
        }
        foreach ($list('controllers') as $device) {
            $controllers[$device->string('id')] = $device->all();
        }
        foreach ($list('items') as $item) {
            [$first, $kit] = [$item->string('id'), $item->string('kit')];
            if (!($boards[$kit] ?? false)) {
                $items[] = $item->all();

                continue;
            }
            for ($n = 1; $n <= $item->whole('count', 1, 200); $n++) {
                $id = $first . ($n === 1 ? '' : "-{$n}");
                $device = (new Device($id, $kit, used: $item->flag('used')))->write();
                $controllers[$id] = ['stands' => $item->all()['stands']] + $device;
            }
            $on = $item->stringOrNull('on') ?? '';
            if (isset($runs[$on])) {
                $runs[$on]['controller'] ??= $first;
            }
        }

        return [
            'version' => 9,
            'runs' => array_values($runs),
            'controllers' => array_values($controllers),
            'items' => $items,
        ] + $document;
    }

    /**
     * 9 to 10: data lines, which were not arranged; validity, deposit and conditions of a quote.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function data(array $document): array
    {
        $terms = is_array($document['terms'] ?? null) ? $document['terms'] : [];

        return [
            'version' => 10,
            'terms' => $terms + ['validDays' => 0, 'deposit' => 0.0, 'conditions' => ''],
            'lines' => [],
        ] + $document;
    }

    /**
     * 10 to 11: what works the light of an option, which no option said.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function worked(array $document): array
    {
        return ['version' => 11, 'options' => self::each($document['options'] ?? null, ['by' => ''])] + $document;
    }

    /**
     * 11 to 12: segments of pixel runs, which there were none of.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function parted(array $document): array
    {
        return ['version' => 12, 'segments' => []] + $document;
    }

    /** @return array<string, mixed> default terms, as far as versions 1 and 2 had them */
    private static function usual(): array
    {
        return array_diff_key((new Terms())->write(), ['travelMinutes' => 0, 'travelCost' => 0, 'again' => 0]);
    }

    /**
     * @param  array<string, mixed>  $more  what every item of the list gets
     * @return list<mixed>
     */
    private static function each(mixed $list, array $more): array
    {
        return array_map(
            static fn(mixed $item): mixed => is_array($item) ? $item + $more : $item,
            is_array($list) ? array_values($list) : [],
        );
    }
}
