<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Control;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\NoShelf;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Changes\Kit\SetItem;
use EmberDusk\Plan\Changes\Kit\SetOwned;
use EmberDusk\Plan\Changes\Runs\SetCap;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Changes\Wires\SetFeeds;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Site\RunNote;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/** The cheapest kit of the shelf for a requirement: the demand on each part follows from the strip and the run. */
final readonly class Fulfilment
{
    /** W/m that are wanted for each kind of light (common practice, no source: main light about 10 W/m, accent light less). */
    private const DENSITY = ['room' => 10.0, 'mood' => 5.0];

    private const MOST_PARTS = 4;

    /** W/m from which light is main light. */
    private const ROOM = 7.0;

    /**
     * @param  KitSnapshot|null  $controller  none for pixels, which a board drives
     * @param  KitSnapshot|null  $fuse  at a battery, and where no cable carries the overload current of the supply
     * @param  KitSnapshot|null  $control  remote, panel or assistant that works it, where that was asked and none is there yet
     * @param  KitSnapshot|null  $hub  what phones reach the controllers through, where one is needed and none is there yet
     */
    private function __construct(
        public KitSnapshot $strip,
        public OptionPower $power,
        public ?KitSnapshot $controller,
        public KitSnapshot $cable,
        public ?KitSnapshot $fuse,
        public ?KitSnapshot $hub,
        public ?KitSnapshot $board,
        public Requirement $requirement,
        public ?KitSnapshot $control = null,
    ) {}

    /**
     * With as many controllers as the requirement says, or with the fewest that do.
     *
     * @throws Refusal naming the kind that the shelf lacks
     */
    public static function for(Plan $plan, Run $run, Requirement $requirement, ShelfSource $shelf): self
    {
        $first = null;
        foreach (
            $requirement->controllers === 0 ? range(1, self::MOST_PARTS) : [$requirement->controllers]
            as $controllers
        ) {
            try {
                return self::with($plan, $run, $requirement->with($controllers), $shelf);
            } catch (Refusal $t) {
                $first ??= $t;
            }
        }

        throw $first;
    }

    /** @throws Refusal */
    private static function with(Plan $plan, Run $run, Requirement $requirement, ShelfSource $shelf): self
    {
        $choice = new Choice($plan, $requirement->source === 'owned');
        $sheltered = array_intersect($run->mounting, ['profile']) !== [] || !in_array('outdoors', $run->mounting, true);
        $strip =
            $choice->least(
                [...$shelf->ofKind('strip'), ...$shelf->ofKind('pixels')],
                Strip::class,
                static fn(Strip $s): bool => $s->volts === $requirement->volts &&
                    self::suits($s, $requirement->colour, $requirement->light),
                static fn(Strip $s, KitSnapshot $f): array => [
                    (int) (!$sheltered && ($f->written['sealed'] ?? 'none') === 'none'),
                    abs($s->wattsPerMetre() - self::DENSITY[$requirement->light] * self::whole($s)),
                ],
            ) ??
            throw new NoSolution(
                sprintf(
                    'The shelf has no strip of %g V, %s, for %s light.',
                    $requirement->volts,
                    Facts::way($requirement->colour),
                    RunNote::CALLED[$requirement->light],
                ),
                '',
                [
                    'kind' => $requirement->colour === 'pixels' ? 'pixels' : 'strip',
                    'volts' => sprintf('%g', $requirement->volts),
                ],
            );
        $of = $strip->entry;
        if (!($of instanceof Strip)) {
            throw new NoSolution('The shelf has no such strip.');
        }
        $metres = CutMarks::from($run, $of)->length() / $requirement->controllers;
        $watts = $of->wattsPerMetre() * $metres;
        $cores = $of->pixels === null ? count($of->channels) + 1 : 2 + $of->pixels->dataWires;
        $controller = null;
        if ($of->pixels === null) {
            $controller = self::controller(
                choice: $choice,
                requirement: $requirement,
                shelf: $shelf,
                strip: $of,
                metres: $metres,
                most: OptionPower::highest($plan, $run, $requirement->volts),
            );
        }
        $power = OptionPower::for(
            plan: $plan,
            run: $run,
            volts: $requirement->volts,
            watts: $watts * $requirement->cap,
            shelf: $shelf,
            choice: $choice,
        );
        [$cable, $fuse] = self::cable(
            plan: $plan,
            choice: $choice,
            shelf: $shelf,
            power: $power,
            cores: $cores,
            amps: ($watts * $requirement->cap) / $requirement->volts,
        );
        $board = $of->pixels !== null ? BoardChoice::for($choice, $shelf, $requirement->control, $of->volts) : null;

        return new self(
            strip: $strip,
            power: $power,
            controller: $controller,
            cable: $cable,
            fuse: $fuse,
            board: $board,
            hub: self::hub($plan, $requirement, $shelf, $choice),
            control: self::control($plan, $run, $requirement, $shelf, $choice),
            requirement: $requirement,
        );
    }

    /** Whether a strip gives light of a colour, bright enough as main light. Colours and pixels are dimmed for accents, white is chosen for them. */
    public static function suits(Strip $strip, string $colour, string $light): bool
    {
        $bright = $strip->wattsPerMetre() >= self::ROOM * self::whole($strip);
        $dimmed = $strip->pixels !== null || count($strip->channels) >= 3;

        return $strip->colours() === $colour && ($light === 'room' ? $bright : !$bright || $dimmed);
    }

    /**
     * The changes that put it into a plan, whose runs are cut and fed as said.
     *
     * @param  list<float>  $shares  where each part is fed
     * @return list<ChangePayload>
     */
    public function changes(Plan $plan, Run $run, Requirement $requirement, array $shares): array
    {
        $changes = [SplitRun::payload(run: $run->id, parts: $requirement->controllers)];
        $cut = Catalogue::make($changes[0], new NoShelf())->apply($plan);
        foreach ($cut->runs as $part) {
            if ($part->place !== $run->place || $part->word !== $run->word) {
                continue;
            }
            foreach (
                array_filter([
                    $this->strip,
                    $this->power->supply,
                    $this->power->bank,
                    $this->controller ?? $this->board,
                    $this->cable,
                ])
                as $kit
            ) {
                $changes[] = ChooseKit::payload(run: $part->id, kit: $kit->entry->id());
            }
            $changes[] = SetFeeds::payload(run: $part->id, shares: $shares);
            // In every cable that then begins at the supply.
            if ($this->fuse !== null) {
                $changes[] = ChooseKit::payload(run: $part->id, kit: $this->fuse->entry->id());
            }
            if ($requirement->cap < 1) {
                $changes[] = SetCap::payload(run: $part->id, cap: $requirement->cap);
            }
        }
        $fitted = $this->power->fitted();
        if ($fitted !== null && $this->power->battery !== null) {
            $blocks = $this->power->battery->blocks * $this->power->battery->rows;
            $id = $fitted->entry->id();
            $changes[] = SetOwned::payload(kit: $id, count: max($blocks, $plan->owned[$id]->count ?? 0));
        }
        if ($this->hub !== null) {
            $changes[] = ChooseKit::payload(run: null, kit: $this->hub->entry->id());
        }
        if ($this->control !== null) {
            $changes[] = SetItem::payload(kit: $this->control->entry->id(), place: $run->place, count: 1);
        }

        return $changes;
    }

    /** Colour strips share their watts among channels that are seldom lit together: they are measured by their white or by a third. */
    private static function whole(Strip $strip): float
    {
        if (count($strip->channels) >= 3) {
            return count($strip->channels) / 2;
        }

        return 1.0;
    }

    /**
     * The cable that carries the supply's overload current, with the fuse of a battery; where none does, the one that a fuse protects.
     *
     * @param  float  $amps  of the load
     * @return array{KitSnapshot, KitSnapshot|null}
     *
     * @throws NoSolution
     */
    private static function cable(
        Plan $plan,
        Choice $choice,
        ShelfSource $shelf,
        OptionPower $power,
        int $cores,
        float $amps,
    ): array {
        $carrying = static fn(float $current): ?KitSnapshot => $choice->least(
            $shelf->ofKind('cable'),
            Cable::class,
            static fn(Cable $c): bool => $c->cores >= $cores &&
                $c->conductor->system === $plan->terms->wire &&
                $c->conductor->carries($current),
        );
        $cable = $carrying($power->overload);
        if ($cable !== null) {
            return [$cable, $power->fuse];
        }
        $supply = $power->supply->entry;
        $fuse = $supply instanceof Supply ? OptionPower::fuse($shelf, $choice, $amps, $supply->emf) : null;
        $behind = $fuse?->entry instanceof Fuse ? $carrying($fuse->entry->amps) : null;
        if ($behind !== null) {
            return [$behind, $fuse];
        }
        throw new NoSolution(
            sprintf(
                'No cable on the shelf has %d cores for the supply’s overload current of %.1f A.',
                $cores,
                $power->overload,
            ),
            '',
            ['kind' => 'cable', 'cores' => (string) $cores, 'system' => $plan->terms->wire],
        );
    }

    /** @throws NoSolution where the shelf has none */
    private static function controller(
        Choice $choice,
        Requirement $requirement,
        ShelfSource $shelf,
        Strip $strip,
        float $metres,
        float $most,
    ): KitSnapshot {
        $channels = count($strip->channels);

        return $choice->least(
            $shelf->ofKind('controller'),
            Controller::class,
            static fn(Controller $c): bool => $c->family === $requirement->control &&
                in_array($requirement->colour, $c->modes, true) &&
                $c->channels >= $channels &&
                $c->inputLeast <= $requirement->volts &&
                $most <= $c->inputMost &&
                ControllerAmps::metres($strip, $c) >= $metres - 1e-9,
        ) ??
            throw new NoSolution(
                sprintf(
                    'No %s controller on the shelf carries %.1f m of this strip (%.1f A at %g V). Cut the run into more parts.',
                    Facts::way($requirement->control),
                    $metres,
                    ($strip->wattsPerMetre() * $metres) / $requirement->volts,
                    $requirement->volts,
                ),
                '',
                [
                    'kind' => 'controller',
                    'channels' => (string) $channels,
                    'totalAmps' => sprintf('%.1f', ($strip->wattsPerMetre() * $metres) / $requirement->volts),
                ],
            );
    }

    private static function hub(Plan $plan, Requirement $requirement, ShelfSource $shelf, Choice $choice): ?KitSnapshot
    {
        $there = $plan->hub(array_key_first($plan->hubs));
        if (
            $requirement->control !== 'zigbee' ||
            // A remote or a panel works a Zigbee light without one.
            in_array($requirement->by, ['remote', 'panel'], true) ||
            $requirement->colour === 'pixels' ||
            ($there !== null && in_array('zigbee', $there->speaks, true))
        ) {
            return null;
        }

        return $choice->least(
            $shelf->ofKind('hub'),
            Hub::class,
            static fn(Hub $h): bool => in_array('zigbee', $h->speaks, true) &&
                in_array($requirement->colour, $h->sets, true),
        );
    }

    /** The remote, panel or assistant that works it, unless the job has one; the least dear that sets the colour, else one that dims it. */
    private static function control(
        Plan $plan,
        Run $run,
        Requirement $requirement,
        ShelfSource $shelf,
        Choice $choice,
    ): ?KitSnapshot {
        if (!isset(Kinds::beside()[$requirement->by]) || $requirement->by === 'phone') {
            return null;
        }
        $works = static fn(Control $c): bool => (in_array($requirement->control, $c->speaks, true) || $c->readsHub) &&
            array_intersect([$requirement->colour, 'single'], $c->sets) !== [];
        foreach ($plan->items as $item) {
            $kit = $plan->kit[$item->kit];
            if ($kit->kind() === $requirement->by && $kit->entry instanceof Control && $works($kit->entry)) {
                return null;
            }
        }

        return $choice->least(
            $shelf->ofKind($requirement->by),
            Control::class,
            $works,
            static fn(Control $c): array => [
                (int) ($c->mains && $plan->power()->withoutMains($run)),
                (int) !in_array($requirement->control, $c->speaks, true),
                (int) !in_array($requirement->colour, $c->sets, true),
            ],
        );
    }
}
