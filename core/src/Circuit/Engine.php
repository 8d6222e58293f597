<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Formats\Json;
use EmberDusk\Plan\Document;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Workings\Trouble;

/** Solves one run of a plan at full light: as planned, at both ends of what may be off, and with each feed open. */
final readonly class Engine
{
    /** Goes up whenever the same plan may give other numbers; printed on what is handed over. */
    public const VERSION = '1.0';

    /** @throws Trouble when parts are missing or the circuit has no solution */
    public static function solve(Plan $plan, Run $run): RunResult
    {
        $parts = self::parts($plan, $run);
        $network = Wiring::of($plan, $run, $parts);
        $solution = Newton::solve($network);
        $open = [];
        if (count($parts->tails) > 1 && self::couldOverload($plan, $parts, $network)) {
            foreach (array_keys($parts->tails) as $feed) {
                $without = Wiring::of($plan, $run, $parts, new Conditions(openFeed: $feed));
                $open[] = Readings::cableAmps($without, Newton::solve($without));
            }
        }
        $spread = [];
        foreach ([Conditions::poor(), Conditions::rich()] as $conditions) {
            $other = Wiring::of($plan, $run, $parts, $conditions);
            $spread[] = Readings::light($other, Newton::solve($other));
        }

        return Readings::of($plan, $run, $parts, $network, $solution, $spread, $open);
    }

    /**
     * The run as planned only, without ranges and without open feeds: enough to compare options by.
     *
     * @throws Trouble when parts are missing or the circuit has no solution
     */
    public static function nominal(Plan $plan, Run $run): RunResult
    {
        $parts = self::parts($plan, $run);
        $network = Wiring::of($plan, $run, $parts);
        $solution = Newton::solve($network);
        $light = Readings::light($network, $solution);

        return Readings::of($plan, $run, $parts, $network, $solution, [$light, $light], []);
    }

    /** @throws Trouble when parts are missing */
    public static function network(Plan $plan, Run $run): Network
    {
        return Wiring::of($plan, $run, self::parts($plan, $run));
    }

    /** @return list<Network> of every run that has all its parts */
    public static function networks(Plan $plan): array
    {
        return array_values(array_map(
            static fn (Run $run): Network => self::network($plan, $run),
            array_filter($plan->runs, static fn (Run $run): bool => Parts::of($plan, $run) !== null),
        ));
    }

    /**
     * Whether some tail could carry too much with another feed open. No group has more across it than the supply's EMF;
     * what they all take at that is more than any tail will ever carry, and mostly less than every tail may.
     */
    private static function couldOverload(Plan $plan, Parts $parts, Network $network): bool
    {
        $most = $parts->controller->standbyAmps;
        foreach ($network->stretches as $stretch) {
            foreach ($stretch->loads as $load) {
                $most += $stretch->groups * $load->evaluate([$network->sources[0]->emf])[0][0];
            }
        }
        foreach ($parts->tails as $tail) {
            if (($plan->cable($tail->kit)->conductor->capacity ?? 0.0) < $most) {
                return true;
            }
        }

        return false;
    }

    /** Same circuit, same engine, same fingerprint: names, notes and other runs play no part. */
    public static function fingerprint(Plan $plan, Run $run): string
    {
        $items = Document::items($plan);
        $of = [];
        foreach ($items as $key => $item) {
            [$list, $id] = explode('/', $key, 2);
            $mine = match ($list) {
                'runs' => $id === $run->id,
                'feeds' => ($item['run'] ?? null) === $run->id,
                'supplies' => $id === $run->supply,
                'controllers' => $id === $run->controller,
                'cables' => true,
                'kit' => true,
                default => false,
            };
            if ($mine) {
                $of[$key] = $item;
            }
        }

        return hash('sha256', Json::compact([self::VERSION, $plan->limits->cableCelsius, $of]));
    }

    private static function parts(Plan $plan, Run $run): Parts
    {
        $lacking = Parts::lacking($plan, $run);
        $short = array_map(static fn (string $id): string => 'enough cores or channels at '.strtoupper($id), array_keys(Parts::short($plan, $run)));

        return Parts::of($plan, $run)
            ?? throw Trouble::at($run->id, $run->name().' cannot be computed yet. It lacks '.implode(', ', [...$lacking, ...$short]).'.');
    }
}
