<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use EmberDusk\Job\JobState;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Parts\FirstForPurpose;
use EmberDusk\Plan\Assembly;
use EmberDusk\Plan\Run;

/** How each run is made up, with what there is to choose from, and what of it cannot be. */
final readonly class AssemblyRows
{
    private const JOINTS = [
        'needed' => 'joined where longer than stock',
        'saving' => 'joints wherever they save a length',
        'never' => 'no joints',
    ];

    private const SEALS = ['silicone' => 'silicone, a day to cure', 'glue' => 'hot glue and tape'];

    private const CUTS = ['after' => 'after fixing, at the end without a feed', 'before' => 'to measure, before'];

    /** @return list<MakingRow> */
    public static function for(JobState $state): array
    {
        $uses = new FirstForPurpose($state->shelf);

        return array_values(
            array_map(
                static fn(Run $run): MakingRow => new MakingRow(
                    run: $run->id,
                    name: $run->name(),
                    place: $state->plan->places[$run->place]->name ?? '',
                    inProfile: in_array('profile', $run->mounting, true),
                    fields: self::fields($state, $uses, $run, $state->plan->making($run)),
                ),
                array_filter($state->plan->runs, static fn(Run $r): bool => $state->plan->cutMarks($r) !== null),
            ),
        );
    }

    /** @return list<MakingField> */
    private static function fields(JobState $state, FirstForPurpose $uses, Run $run, Assembly $making): array
    {
        $profile = in_array('profile', $run->mounting, true);
        $usual = static fn(?KitSnapshot $kit): string => $kit?->entry->name() ?? 'none on the shelf';
        $fields = [self::field('strip', 'Strip', $making->strip, self::JOINTS)];
        if ($profile) {
            $fields[] = self::field(
                'profile',
                'Profile',
                $making->profile,
                self::names($state, 'profile'),
                usual: 'as fits: ' . $usual($uses->usualProfile($state->plan, $run)),
            );
            $fields[] = self::field(
                'diffuser',
                'Diffuser',
                $making->diffuser,
                self::names($state, 'diffuser'),
                usual: 'as fits: ' . $usual($uses->usualDiffuser()),
            );
            $fields[] = self::field('length', 'Both', $making->length, self::JOINTS);
        }
        $damp = $state->plan->damp($run) ? 'silicone, damp place' : 'not sealed';
        $fields[] = self::field('seal', 'Ends', $making->seal, self::SEALS, usual: "default: {$damp}");
        $cut = $profile ? 'to measure, before' : 'after fixing';
        $fields[] = self::field('cut', 'Cut', $making->cut, self::CUTS, usual: "default: {$cut}");

        return $fields;
    }

    /**
     * @param  array<string, string>  $choices  by value
     * @param  string|null  $usual meaning of an empty value
     */
    private static function field(
        string $field,
        string $label,
        ?string $value,
        array $choices,
        ?string $usual = null,
    ): MakingField {
        $of = $usual !== null ? [new MakingChoice(value: '', text: $usual)] : [];
        foreach ($choices as $id => $text) {
            $of[] = new MakingChoice(value: (string) $id, text: $text);
        }

        return new MakingField(field: $field, label: $label, value: $value ?? '', choices: $of);
    }

    /** @return array<string, string> by id */
    private static function names(JobState $state, string $kind): array
    {
        $names = [];
        foreach ($state->shelf->ofKind($kind) as $snapshot) {
            $names[$snapshot->entry->id()] = $snapshot->entry->name();
        }

        return $names;
    }
}
