<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Costing\Costing;
use EmberDusk\Costing\MovingFigures;
use EmberDusk\Costing\Promise;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Changes\Job\ChangeGroup;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Input;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;

/** Works one option out: the shelf's kit for it, solved on the real run, priced, and held against the site. */
final readonly class Card
{
    /** Codes of what an option asks to be set. */
    private const TO_SET = ['setting', 'cap'];

    private const SOLVED = 'Solved at full light, nominal values; all parts of the run together.';

    public function __construct(private Plan $plan, private Run $run, private Requirement $requirement) {}

    public function for(Promise $promise): OptionCard
    {
        try {
            if ($this->requirement->source === 'set') {
                return (new SetCard($this->plan, $this->run, $this->requirement))->for($promise);
            }

            return $this->solved($promise);
        } catch (Refusal $t) {
            return OptionCard::refused($this->requirement, $t->getMessage(), is_array($t->value) ? $t->value : null);
        }
    }

    /** Energy of a year at the job's hours a day. */
    public static function energy(Plan $plan, float $watts, string $of): Figure
    {
        return new Figure(
            label: 'Energy a year',
            value: ($watts * $plan->terms->hoursADay * 365) / 1000,
            unit: 'kWh',
            decimals: 0,
            formula: 'P * h * 365 / 1000',
            inputs: [
                new Input('P', $of, $watts, 'W', path: 'solver: all supplies, or the box of a set'),
                new Input(
                    'h',
                    'lit per day, as set in the job',
                    $plan->terms->hoursADay,
                    'h',
                    path: 'plan.terms.hoursADay',
                ),
            ],
            assumption: 'All at full for that time; without the supply’s own losses.',
        );
    }

    /** Over all parts of the run, since the eye sees them side by side. */
    public static function evenness(Trial $trial): Figure
    {
        $brightest = $trial->evenness() > 0 ? $trial->darkest() / $trial->evenness() : 0.0;

        return new Figure(
            label: count($trial->results) > 1 ? 'Evenness, all parts' : 'Evenness',
            value: $trial->evenness(),
            unit: '',
            decimals: 2,
            formula: 'd / b',
            inputs: [
                new Input('d', 'darkest', $trial->darkest(), '', path: 'solver: darkest of its parts'),
                new Input('b', 'brightest', $brightest, '', path: 'solver: brightest of its parts'),
            ],
            assumption: self::SOLVED,
            source: 'limits: common practice, no source',
        );
    }

    public static function count(string $label, int $count, string $meaning): Figure
    {
        return new Figure(
            label: $label,
            value: $count,
            unit: '',
            decimals: 0,
            formula: 'n',
            inputs: [new Input('n', $meaning, $count, '', path: 'plan: counted in it')],
            assumption: 'Counted.',
        );
    }

    private function solved(Promise $promise): OptionCard
    {
        $requirement = $this->requirement;
        $shelf = $promise->basis->shelf;
        $kit = Fulfilment::for($this->plan, $this->run, $requirement, $shelf);
        $requirement = $kit->requirement;
        $trial = Trial::for(plan: $this->plan, run: $this->run, requirement: $requirement, kit: $kit, shelf: $shelf);
        $strip = $kit->strip->entry;
        $runs = array_keys($trial->results);
        $moving = Costing::moving($trial->plan, $promise->basis, $runs)->withStrip($runs);
        if ($kit->hub !== null) {
            $moving = $moving->withHub($kit->hub);
        }
        if ($kit->control !== null) {
            $moving = $moving->withControl($kit->control);
        }
        $metres = array_sum(array_map(static fn(RunResult $r): float => count($r->light) * $r->pitch, $trial->results));
        $watts = $strip instanceof Strip ? $strip->wattsPerMetre() : 0.0;
        $several = $requirement->controllers > 1 ? "{$requirement->controllers} x " : '';

        return new OptionCard(
            requirement: $requirement,
            kit: array_values(
                array_filter([
                    self::strip($kit),
                    $kit->power->bank?->entry->name(),
                    ($kit->power->supply->entry instanceof BatteryBlock ? '' : $several) .
                    $kit->power->supply->entry->name(),
                    $kit->controller === null
                        ? $kit->board?->entry->name()
                        : $several . $kit->controller->entry->name() . self::carries($kit),
                    $kit->cable->entry->name(),
                    $kit->hub?->entry->name(),
                    $kit->control?->entry->name(),
                ]),
            ),
            figures: [
                'load' => new Figure(
                    label: 'Load',
                    value: $watts * $metres,
                    unit: 'W',
                    decimals: 0,
                    formula: 'w * L',
                    inputs: [
                        new Input(
                            'w',
                            'strip, all channels',
                            $watts,
                            'W/m',
                            path: "shelf.{$kit->strip->entry->id()}.wattsPerMetre()",
                        ),
                        new Input('L', 'lit length', $metres, 'm', path: 'plan: cut marks of its parts'),
                    ],
                    assumption: 'Nominal.',
                ),
                'darkest' => new Figure(
                    label: 'Darkest light',
                    value: $trial->darkest(),
                    unit: 'of full',
                    decimals: 2,
                    formula: 'd',
                    inputs: [
                        new Input(
                            'd',
                            'amps of the darkest group against its nominal ones',
                            $trial->darkest(),
                            '',
                            path: 'solver: darkest of its parts',
                        ),
                    ],
                    assumption: self::SOLVED,
                ),
                'evenness' => self::evenness($trial),
                'joints' => self::count('Joints', $moving->joints(), 'of one core'),
                'boxes' => self::count('To hide', $moving->units(), 'supplies and controllers'),
                'quote' => $promise->change($trial->plan)->figure(),
                'cost' => MovingFigures::cost($this->plan, $moving),
                'hours' => MovingFigures::hours($moving),
                'energy' => self::energy($this->plan, $trial->watts(), 'from the supplies, solved at full'),
            ],
            reach: ControlReach::for(
                plan: $this->plan,
                taken: $kit->hub,
                control: $requirement->control,
                colour: $requirement->colour,
                shelf: $shelf,
            ),
            findings: self::beforeBuying($trial),
            take: ChangeGroup::payload(words: self::words($this->run, $requirement), changes: $trial->changes),
        );
    }

    /** @return list<Finding> stops, warnings and required settings; lengths are measured after the choice */
    private static function beforeBuying(Trial $trial): array
    {
        return array_values(
            array_filter(
                $trial->findings,
                static fn(Finding $f): bool => $f->severity !== Severity::Open ||
                    in_array($f->code, self::TO_SET, true),
            ),
        );
    }

    /** Its name with the colours of its light: “Single colour 24 V, 9.6 W/m: warm white”. */
    private static function strip(Fulfilment $kit): string
    {
        $strip = $kit->strip->entry;
        $colours = $strip instanceof Strip && $strip->switched() ? array_column($strip->channels, 'name') : [];

        return $strip->name() . ($colours === [] ? '' : ': ' . implode(', ', $colours));
    }

    /** Metres of its strip that a controller carries: half the volts, half the metres. */
    private static function carries(Fulfilment $kit): string
    {
        [$strip, $controller] = [$kit->strip->entry, $kit->controller?->entry];
        if (!($strip instanceof Strip) || !($controller instanceof Controller)) {
            return '';
        }

        return sprintf(', enough for %.1f m', ControllerAmps::metres($strip, $controller));
    }

    private static function words(Run $run, Requirement $requirement): string
    {
        return sprintf(
            'Option taken for %s: %g V, %s, %s light, %d controller%s, %s',
            $run->whole(),
            $requirement->volts,
            Facts::way($requirement->colour),
            $requirement->light,
            $requirement->controllers,
            $requirement->controllers > 1 ? 's' : '',
            Facts::way($requirement->control),
        );
    }
}
