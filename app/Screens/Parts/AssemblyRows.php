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

    private function __construct(private JobState $state) {}

    /** @return list<MakingRow> */
    public static function for(JobState $state): array
    {
        return (new self($state))->rows();
    }

    /** @return list<MakingRow> */
    private function rows(): array
    {
        $uses = new FirstForPurpose($this->state->shelf);

        return array_values(
            array_map(
                fn(Run $run): MakingRow => new MakingRow(
                    run: $run->id,
                    name: $run->name(),
                    place: $this->state->plan->places[$run->place]->name ?? '',
                    inProfile: in_array('profile', $run->mounting, true),
                    fields: $this->fields($uses, $run, $this->state->plan->of($run)->making()),
                ),
                array_filter(
                    $this->state->plan->runs,
                    fn(Run $r): bool => $this->state->plan->of($r)->cutMarks() !== null,
                ),
            ),
        );
    }

    /** @return list<MakingField> */
    private function fields(FirstForPurpose $uses, Run $run, Assembly $making): array
    {
        $profile = in_array('profile', $run->mounting, true);
        $usual = static fn(?KitSnapshot $kit): string => $kit?->entry->name() ?? 'none on the shelf';
        $fields = [self::field('strip', 'Strip', $making->strip, self::JOINTS)];
        if ($profile) {
            $fields[] = self::field(
                'profile',
                'Profile',
                $making->profile,
                $this->names('profile'),
                usual: 'as fits: ' . $usual($uses->usualProfile($this->state->plan, $run)),
            );
            $fields[] = self::field(
                'diffuser',
                'Diffuser',
                $making->diffuser,
                $this->names('diffuser'),
                usual: 'as fits: ' . $usual($uses->usualDiffuser()),
            );
            $fields[] = self::field('length', 'Both', $making->length, self::JOINTS);
        }
        $damp = $this->state->plan->of($run)->damp() ? 'silicone, damp place' : 'not sealed';
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
    private function names(string $kind): array
    {
        $names = [];
        foreach ($this->state->shelf->ofKind($kind) as $snapshot) {
            $names[$snapshot->entry->id()] = $snapshot->entry->name();
        }

        return $names;
    }
}
