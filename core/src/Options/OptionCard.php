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
     * @param  list<OptionReach>  $reach
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

    /** @param  array<string, float>  $best  by row, over all options */
    public function column(array $best): OptionColumn
    {
        $leads = [];
        foreach (array_keys(self::ROWS) as $row) {
            $figure = $this->figures[$row] ?? null;
            if ($figure !== null && isset($best[$row]) && abs($figure->value - $best[$row]) < 1e-9) {
                $leads[] = $row;
            }
        }

        $refused = $this->refused !== '' ? $this->refused : null;
        $prepare = $this->prepare !== null ? (string) json_encode($this->prepare) : null;

        $wish = $this->requirement;

        return new OptionColumn(
            wish: new OptionWish(
                volts: $wish->volts,
                light: $wish->light,
                colour: $wish->colour,
                controllers: $wish->controllers,
                control: $wish->control,
                source: $wish->source,
                cap: $wish->cap,
                by: $wish->by,
            ),
            kit: $this->kit,
            load: $this->figures['load'] ?? null,
            darkest: $this->figures['darkest'] ?? null,
            evenness: $this->figures['evenness'] ?? null,
            joints: $this->figures['joints'] ?? null,
            boxes: $this->figures['boxes'] ?? null,
            quote: $this->figures['quote'] ?? null,
            cost: $this->figures['cost'] ?? null,
            hours: $this->figures['hours'] ?? null,
            energy: $this->figures['energy'] ?? null,
            reach: $this->reach,
            findings: array_map(
                static fn(Finding $f): OptionFinding => new OptionFinding($f->severity->value, $f->title, $f->detail),
                $this->findings,
            ),
            refused: $refused,
            prepare: $prepare,
            take: $this->take,
            best: $leads,
        );
    }
}
