<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Tuning;
use EmberDusk\Rates\Work;

/** Resetting and joining: of a place's controllers immediately, after what they feed has been tested. The first place has the hubs too. */
final class JoinSteps
{
    /** @var array<string, true> controllers and hubs that a step joins */
    private array $joined = [];

    /** @var array<string, array<string, true>> ways of control of what a place's last step of joining has joined, by that step */
    private array $ways = [];

    public function __construct(private readonly Plan $plan, private readonly StepList $list) {}

    /**
     * @param  list<Run>  $runs  of the place
     * @param  list<Fitting>  $fixtures  of the place
     * @return list<string> the step, where there is one
     */
    public function steps(string $id, string $place, array $runs, array $fixtures): array
    {
        $controllers = [];
        foreach ($runs as $run) {
            if (
                $run->controller !== null &&
                !isset($this->joined[$run->controller]) &&
                $this->plan->controller($run->controller)?->joins() === true
            ) {
                $controllers[$run->controller] = $this->plan->controllers[$run->controller]->kit;
            }
        }
        $modules = $this->modules($fixtures);
        $controllers += $modules;
        if ($controllers === []) {
            return [];
        }
        $hubs = array_map(static fn($h): string => $h->kit, array_diff_key($this->plan->hubs, $this->joined));
        $this->joined += array_fill_keys(array_keys($controllers + $hubs), true);
        $count = count($controllers);

        $step = $this->list->add(
            kind: Work::Join,
            of: $id,
            place: $place,
            title: 'Reset, join and name ' . self::counted($count, $modules !== []),
            why: 'Join it in its final place after the test of its strip: a device joined on the bench has to be joined twice.',
            units: count($controllers + $hubs),
            people: 1,
            tools: ['phone with the app'],
            caution: 'Follow the stage Join: a reset deletes all joins of the device.',
            after: [
                ...ItemSteps::beforeJoining($this->plan),
                ...array_map(static fn(Run $r): string => "second-{$r->id}", $runs),
                ...array_map(
                    static fn(Fitting $f): string => $f->module === null ? "fixtures-{$f->id}" : "second-{$f->id}",
                    $fixtures,
                ),
            ],
            wait: 0,
            needs: array_values(array_unique([...array_values($controllers), ...array_values($hubs)])),
        );

        $last = $this->stored($id, $place, array_keys($controllers), $step);
        foreach (array_keys($controllers) as $controller) {
            $this->ways[$last[0]][(string) $this->plan->controlWay($controller)] = true;
        }

        return $last;
    }

    /**
     * Last steps of joining before a panel is mounted: of the lights in all places that speak one of its ways.
     *
     * @param  list<string>  $speaks
     * @return list<string>
     */
    public function speaking(array $speaks): array
    {
        return array_keys(
            array_filter(
                $this->ways,
                static fn(array $w): bool => array_intersect_key($w, array_fill_keys($speaks, true)) !== [],
            ),
        );
    }

    /**
     * Modules of fixtures that join and are not in a step yet.
     *
     * @param  list<Fitting>  $fixtures
     * @return array<string, string> ids of their kit
     */
    private function modules(array $fixtures): array
    {
        $modules = [];
        foreach ($fixtures as $fitting) {
            $id = $fitting->module ?? '';
            if (!isset($this->joined[$id]) && $this->plan->module($id)?->profile !== null) {
                $modules[$id] = $this->plan->modules[$id]->kit;
            }
        }

        return $modules;
    }

    private static function counted(int $count, bool $modules): string
    {
        if ($count === 1) {
            return $modules ? 'the module' : 'the controller';
        }

        return "{$count} controllers" . ($modules ? ' and modules' : '');
    }

    /**
     * States at power-on are stored once their lights have joined, and tried with the phone off.
     *
     * @param  list<string>  $controllers
     * @return non-empty-list<string> the last step
     */
    private function stored(string $id, string $place, array $controllers, string $after): array
    {
        $wanted = array_filter(
            array_intersect_key($this->plan->tunings, array_flip($controllers)),
            static fn(Tuning $t): bool => $t->powerOn !== '',
        );
        if ($wanted === []) {
            return [$after];
        }
        $says = array_map(
            fn(Tuning $t): string => (new LightNames($this->plan))->of($t->id) . " {$t->returns()}",
            array_values($wanted),
        );

        return [
            $this->list->add(
                kind: Work::Store,
                of: $id,
                place: $place,
                title: 'Store the power-on behaviour: ' . implode(', ', $says),
                why: 'It is stored in the device: set it, store it, wait for the sign that it is stored, cut the power, and check ' .
                    'its light with the phone off.',
                units: count($wanted),
                people: 1,
                tools: ['phone with the app'],
                caution: 'Cut the power at its own switch; a plug under load is not pulled.',
                after: [$after],
            ),
        ];
    }
}
