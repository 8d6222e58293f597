<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Plan\Requirement;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;

/** One option as a column: its kit, its figures by row, its controls, its problems, and the change that chooses it. */
final readonly class OptionCard
{
    /** Rows of figures, and whether more is better there. */
    public const ROWS = [
        'load' => false,
        'darkest' => true,
        'evenness' => true,
        'joints' => false,
        'boxes' => false,
        'quote' => false,
        'cost' => false,
        'hours' => false,
        'energy' => false,
    ];

    /**
     * @param  list<string>  $kit  names
     * @param  array<string, Figure>  $figures  by row
     * @param  list<array{label: string, reach: string, text: string}>  $reach
     * @param  list<Finding>  $findings
     * @param  ChangePayload|null  $take  the change that takes it over
     * @param  array<array-key, mixed>|null  $prepare  cells of the shelf entry that is lacking, as far as they follow
     */
    public function __construct(
        public Requirement $requirement,
        public array $kit,
        public array $figures,
        public array $reach,
        public array $findings,
        public ?ChangePayload $take = null,
        public string $refused = '',
        public ?array $prepare = null,
    ) {}

    /** @param  array<array-key, mixed>|null  $prepare */
    public static function refused(Requirement $requirement, string $why, ?array $prepare = null): self
    {
        return new self(
            requirement: $requirement,
            kit: [],
            figures: [],
            reach: [],
            findings: [],
            refused: $why,
            prepare: $prepare,
        );
    }

    /**
     * @param  array<string, float>  $best  by row, over all options
     * @return array<string, mixed> as in app/Screens/Kit/kit.json, $defs/optionCard
     */
    public function toArray(array $best): array
    {
        $rows = [];
        $leads = [];
        foreach (array_keys(self::ROWS) as $row) {
            $figure = $this->figures[$row] ?? null;
            $rows[$row] = $figure?->write();
            if ($figure !== null && isset($best[$row]) && abs($figure->value - $best[$row]) < 1e-9) {
                $leads[] = $row;
            }
        }

        $refused = $this->refused !== '' ? $this->refused : null;
        $prepare = $this->prepare !== null ? (string) json_encode($this->prepare) : null;

        return [
            'wish' => array_diff_key($this->requirement->write(), ['id' => true, 'run' => true]),
            'kit' => $this->kit,
            ...$rows,
            'reach' => $this->reach,
            'findings' => array_map(
                static fn(Finding $f): array => [
                    'severity' => $f->severity->value,
                    'title' => $f->title,
                    'detail' => $f->detail,
                ],
                $this->findings,
            ),
            'refused' => $refused,
            'prepare' => $prepare,
            'take' => $this->take?->write(),
            'best' => $leads,
        ];
    }
}
