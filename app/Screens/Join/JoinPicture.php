<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\JoinLine;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Simulation\LightCommand;
use EmberDusk\Joining\Simulation\ShownSignal;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Kit\Profiles\GesturePart;
use EmberDusk\Plan\Plan;

/** A live run as the screen shows it: step, lanes, the drawn kit, the apps' lists, causes, the log. Times in run seconds. */
final readonly class JoinPicture implements View
{
    use WrittenRecord;

    /** Causes that are shown immediately. */
    private const CAUSES = 4;

    /** Share of belief below which a cause is not shown. */
    private const LEAST = 0.005;

    /**
     * @param  list<JoinLane>  $lanes
     * @param  list<JoinDevice>  $devices
     * @param  list<JoinApp>  $apps
     * @param  list<JoinLine>  $log  from the line on that was asked for
     * @param  int  $logFrom  number of the first line in it
     * @param  list<string>  $found
     * @param  list<string>  $aside
     * @param  list<JoinCause>  $causes
     * @param  list<string>  $excluded  causes that the last answer made unlikely
     * @param  list<string>  $measured
     */
    public function __construct(
        public float $now,
        public JoinStepView $step,
        #[Field(of: JoinLane::class)] public array $lanes,
        #[Field(of: JoinDevice::class)] public array $devices,
        #[Field(of: JoinApp::class)] public array $apps,
        #[Field(of: JoinLine::class)] public array $log,
        public int $logFrom,
        public int $missed,
        public int $joined,
        public int $lights,
        public int $through,
        public int $tasks,
        #[Field(of: Field::TEXTS)] public array $found,
        #[Field(of: Field::TEXTS)] public array $aside,
        #[Field(of: JoinCause::class)] public array $causes,
        #[Field(of: Field::TEXTS)] public array $excluded,
        public ?float $nextAt,
        public bool $done,
        public string $says,
        #[Field(of: Field::TEXTS)] public array $measured,
    ) {}

    /**
     * @param  Plan|null  $plan  where lights have their names; null in a lesson
     * @param  bool  $windows windows of the simulated devices, as in a replay; else those known to the guide
     * @param  int  $known  lines of the log that the page has already
     */
    public static function for(LiveRun $run, float $now, ?Plan $plan, bool $windows = false, int $known = 0): self
    {
        $step = $run->next($now);
        $progress = $run->progress();
        $log = $run->log();
        $lines = EventWords::lines($log);
        // The last known line may have grown: presses of one key are counted in it.
        $from = max(0, min($known, count($lines)) - 1);

        return new self(
            now: $now,
            step: self::step($step, $run->roster, $plan, $run->onSite, $progress->field->end($step, $now)),
            lanes: JoinLanes::for($run, $windows),
            devices: $run->site() === null ? [] : self::devices($run->site(), $run),
            apps: self::apps($run),
            log: array_slice($lines, $from),
            logFrom: $from,
            missed: $progress->marks->missed,
            joined: count(array_filter($log, static fn(Event $e): bool => $e->kind === Event::JOINED)),
            lights: count(array_filter($run->roster->units, static fn(Unit $u): bool => $u->lights())),
            through: count($progress->through()),
            tasks: count($progress->tasks()),
            found: array_map(static fn($s): string => $s->says, $progress->found()),
            aside: array_values($progress->marks->aside),
            causes: self::causes($run),
            excluded: $progress->inquiry->asks() ? $progress->inquiry->ruledOut(self::LEAST) : [],
            says: self::says($step, $run),
            measured: $step->look === Look::End ? self::measured($run) : [],
            nextAt: self::nextAt($run, $now),
            done: $step->look === Look::End,
        );
    }

    /** When something shows or closes automatically next, in run seconds; null when nothing will. */
    public static function nextAt(LiveRun $run, float $now): ?float
    {
        $step = $run->next($now);
        $closes = $step->window[1] ?? null;
        $times = array_filter(
            [$run->site()?->nextChange(), $step->lookUntil, $closes === null ? null : $closes + 0.05],
            static fn(?float $t): bool => $t !== null && $t > $now,
        );

        if ($times === []) {
            return null;
        }

        return min($times);
    }

    /** @param  Act|null  $stops  ends the search that runs */
    public static function step(
        JoinStep $s,
        Roster $roster,
        ?Plan $plan,
        bool $onSite,
        ?Act $stops = null,
    ): JoinStepView {
        $light = $s->look === Look::Name ? $plan?->lights[$s->device] ?? null : null;
        $unit = $roster->has($s->device) ? $roster->unit($s->device) : null;

        return new JoinStepView(
            key: $s->key(),
            kind: $s->kind,
            look: $s->look,
            device: $s->device,
            where: $s->where,
            title: $s->title,
            why: $s->why,
            tries: $s->look === Look::Try
                ? array_map(
                    static fn(Act $a): JoinTry => new JoinTry(
                        kind: $a->kind,
                        device: $a->device,
                        text: $a->text,
                        label: $a->kind === Act::TRY ? self::level($s, $a->text) : ucfirst($a->text),
                    ),
                    $s->acts,
                )
                : [],
            expect: self::pattern($s),
            then: $s->then === null ? null : self::pattern($s->then),
            expects: $s->expects,
            // A lesson has no plan, and its drawn kit is worked by hand.
            answers: $s->answers($onSite, byHand: $onSite || $plan === null),
            name: $light->name ?? ($unit->name ?? ''),
            room: $light->room ?? ($unit->room ?? ''),
            letters: self::letters($roster),
            from: $s->window[0] ?? null,
            to: $s->window[1] ?? null,
            lookUntil: $s->lookUntil,
            left: $s->opened === '' && $s->search !== null && ($s->then === null || $s->lookUntil === null)
                ? 'of the search left'
                : 'left to look',
            alert: $s->alert,
            ifNot: $s->ifNot,
            caution: $s->caution,
            stops: $stops === null
                ? null
                : new JoinTry(kind: $stops->kind, device: $stops->device, text: $stops->text, label: 'Search stopped'),
        );
    }

    private static function pattern(JoinStep $s): ?SignalView
    {
        return $s->expect === null ? null : new SignalView(words: $s->expect->words(), times: $s->expect->times);
    }

    /** Words on a key that tries a level; with the light where the step has several. */
    private static function level(JoinStep $s, string $text): string
    {
        [$light, , $set] = [...explode(' ', $text), '', '0'];
        $level = (float) $set;
        $lights = array_unique(
            array_map(
                static fn(Act $a): string => explode(' ', $a->text)[0],
                array_filter($s->acts, static fn(Act $a): bool => $a->kind === Act::TRY),
            ),
        );

        return (count($lights) > 1 ? strtoupper($light) . ': ' : '') .
            match (true) {
                $level >= 1.0 => 'On',
                $level <= 0.0 => 'Off',
                default => sprintf('%d %%', (int) round(100 * $level)),
            };
    }

    private static function letters(Roster $roster): int
    {
        foreach ($roster->inRole(Unit::HUB) as $hub) {
            return (int) ($hub->leaflet->figure('letters') ?? 30);
        }

        return 30;
    }

    /** @return list<JoinDevice> the simulated devices as drawn */
    private static function devices(SimulatedSite $site, LiveRun $run): array
    {
        $drawn = [];
        foreach ($site->devices() as $id => $device) {
            $unit = $device->unit;
            if (!$unit->lights() && !in_array($unit->role, [Unit::REMOTE, Unit::PANEL, Unit::BRIDGE], true)) {
                continue;
            }
            $drawn[] = new JoinDevice(
                id: $id,
                label: $unit->label(),
                name: $unit->name,
                shines: $unit->lights(),
                held: $unit->linksByHand() ? self::held() : [],
                powered: $device->isPowered(),
                switched: StepBuilder::switched($unit),
                lit: $site->isLit($id),
                level: $device instanceof SimulatedLight ? $device->level() : 0.0,
                looks: $device instanceof SimulatedLight
                    ? $device->looks(new LightCommand($device->level()))
                    : Observation::Expected,
                signal: self::signal($site->signal($id)),
                keys: self::keys($unit->leaflet),
                zones: $unit->role === Unit::BRIDGE ? 0 : $unit->zones,
            );
        }

        return $drawn;
    }

    /** @return list<JoinHeld> */
    private static function held(): array
    {
        return array_map(
            static fn(array $h): JoinHeld => new JoinHeld(words: $h['words'], metres: $h['metres']),
            Unit::HELD,
        );
    }

    /** @return list<JoinKey> what its keys are for, without saying which */
    private static function keys(Behaviour $leaflet): array
    {
        $presses = $holds = $lit = [];
        foreach ($leaflet->gestures as $gesture) {
            foreach ($gesture->parts as $part) {
                if ($part->kind === GesturePart::CYCLE) {
                    continue;
                }
                $presses[$part->key] ??= [1];
                if ($part->kind === GesturePart::PRESS) {
                    $presses[$part->key][] = $part->times;
                } else {
                    $holds[$part->key][] = $part->takes();
                    // Held until the lamp is lit: it lights then.
                    $lit[$part->key] ??= $part->seconds === null ? $part->takes() : null;
                }
            }
        }
        $keys = [];
        foreach ($presses as $key => $times) {
            $times = array_values(array_unique($times));
            sort($times);
            $keys[] = new JoinKey(
                key: (string) $key,
                presses: $times,
                holds: array_values(array_unique($holds[$key] ?? [])),
                lit: $lit[$key] ?? null,
            );
        }

        return $keys;
    }

    /** @return list<JoinApp> */
    private static function apps(LiveRun $run): array
    {
        $apps = [];
        foreach ($run->roster->inRole(Unit::HUB) as $hub) {
            $apps[] = new JoinApp(
                hub: $hub->id,
                label: $hub->called(),
                searches: $hub->way === 'zigbee',
                lines: array_map(
                    static fn(string $line): JoinListed => new JoinListed(
                        name: $line,
                        as: strtoupper($run->progress()->field->ownerOf($hub->id, $line) ?? ''),
                    ),
                    array_values(array_unique($run->progress()->field->known($hub->id))),
                ),
            );
        }

        return $apps;
    }

    /** Display of a simulated device's app after a step. */
    private static function says(JoinStep $step, LiveRun $run): string
    {
        if (
            $run->site() === null ||
            $step->look !== Look::Says ||
            !isset($run->progress()->marks->worked[$step->key()])
        ) {
            return '';
        }

        if ($run->site()->device($step->watches)->says($step->signal)) {
            return "It does: {$step->expects}.";
        }

        return 'None so far.';
    }

    /** @return list<string> what every control of a rehearsal really does, pressed at the end */
    private static function measured(LiveRun $run): array
    {
        if ($run->site() === null) {
            return [];
        }
        $tried = Acceptance::all($run->site());
        $wrong = array_filter($tried, static fn(Observation $s): bool => $s !== Observation::Expected);
        $lines = [
            sprintf('On the simulated devices: %d of %d controls work.', count($tried) - count($wrong), count($tried)),
        ];
        foreach ($wrong as $want => $seen) {
            [$control, $light] = explode(' ', strtoupper($want));
            $lines[] = "{$light} by {$control}: " . $seen->words() . '.';
        }
        foreach ($run->site()->flaws() as $flaw) {
            if ($flaw->code === Flaws::MISSED) {
                continue;
            }
            $lines[] = 'Still hidden: ' . str_replace('-', ' ', $flaw->code) . ' at ' . strtoupper($flaw->device) . '.';
        }

        return $lines;
    }

    /** @return list<JoinCause> likeliest first */
    private static function causes(LiveRun $run): array
    {
        $inquiry = $run->progress()->inquiry;
        if (!$inquiry->asks()) {
            return [];
        }

        $belief = $inquiry->belief();
        $rest = [
            ['nothing is wrong: the signal was missed', ($belief->right ?? 0.0) + ($belief->missed ?? 0.0)],
            ['a cause that is not listed here', $belief->unlisted ?? 0.0],
        ];
        $causes = array_map(static fn(array $ranked): array => [$ranked[0]->says, $ranked[1]], $inquiry->ranked());

        return array_map(
            static fn(array $cause): JoinCause => new JoinCause(says: $cause[0], share: round($cause[1], 3)),
            [...array_slice(self::likely($causes), 0, self::CAUSES), ...self::likely($rest)],
        );
    }

    /**
     * @param  list<array{string, float}>  $causes
     * @return list<array{string, float}>
     */
    private static function likely(array $causes): array
    {
        return array_values(array_filter($causes, static fn(array $cause): bool => $cause[1] >= self::LEAST));
    }

    private static function signal(?ShownSignal $signal): ?JoinSignal
    {
        if ($signal === null) {
            return null;
        }

        return new JoinSignal(from: $signal->at, times: $signal->signal->times);
    }
}
