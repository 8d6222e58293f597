<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Parts\Fixings;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Routes\SignalLead;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\BenchSettings;
use EmberDusk\Rates\CableJoints;
use EmberDusk\Rates\Joints;
use EmberDusk\Rates\RunUnits;
use EmberDusk\Rates\Work;

/**
 * The steps of one run after another: trial fit, settings, supply, cables, loose test, profile or sticking, joints, second test, sealing,
 * curing, diffuser.
 */
final readonly class RunSteps
{
    /** Silicone cures for a day. */
    private const CURE = 1440;

    /** Metres of a straight strip that are soldered loose and then carried up in one piece by two people. Common practice, no source. */
    private const CARRIED = 3.0;

    /**
     * @param  array<string, int>  $joined  joints in the strip of a run, by run
     * @param  array<string, CableJoints>  $at  joints by cable
     */
    public function __construct(
        private Plan $plan,
        private array $joined,
        private array $at,
        private StepList $list,
        private InstallSteps $install,
        private BatterySteps $batteries,
    ) {}

    /** @param  list<string>  $before  Returns the run's last step. */
    public function steps(Run $run, array $before): string
    {
        $units = RunUnits::for($this->plan, $run);
        $profile = isset($units['profile']);
        $making = $this->plan->of($run)->making();
        $dry = $this->list->addFor(
            of: $run,
            kind: Work::Dry,
            title: 'trial fit',
            why: 'Lay it out, plug it in, see that the connector lands where it should.',
            units: $units['dry'],
            people: 2,
            tools: ['tape measure'],
            after: $before,
        );
        $settings = BenchSettings::ofRun($this->plan, $run);
        $set = [];
        if ($settings !== []) {
            $set[] = $this->list->addFor(
                of: $run,
                kind: Work::Settings,
                title: 'set on the bench: ' . BenchSettings::said($settings),
                why: 'On a bench supply of the strip’s volts, before mounting: its lamps are hidden afterwards.',
                units: $units['settings'] ?? 0.0,
                people: 1,
                tools: ['bench supply', 'phone'],
                after: [],
                caution: 'The strip’s own volts, through a small fuse.',
            );
        }
        $cables = $this->install->steps(
            of: $run,
            devices: $this->plan->ways()->unitsOf($run),
            ways: $this->plan->ways()->waysOf($run),
            after: [$dry, ...$set, ...$before],
        );
        $cables = $this->batteries->fed($run, $cables);
        $loose = $this->list->addFor(
            of: $run,
            kind: Work::Loose,
            title: 'loose test',
            why: 'Test everything before you stick it: single channels, white, one mix.' .
                (count($run->sections) > 1 || ($this->joined[$run->id] ?? 0) > 0
                    ? ' Clip its pieces together for it: they are joined later.'
                    : ''),
            units: $units['loose'],
            people: 1,
            tools: ['meter', 'bench supply', 'clip leads'],
            caution: 'Volts and polarity by meter before the strip is on.' .
                ($this->plan->power()->onBattery($run) ? '' : ' Never connect strip to mains.'),
            after: [$dry, ...$cables],
        );
        $measured = $making->cut === '' ? $profile : $making->cut === 'before';
        $fixed = $loose;
        if ($measured) {
            $why = 'Cut only at the marks. Measure twice.';
            if ($profile) {
                $why = 'Cut only at the marks; check the fit before it goes into profile.';
            }
            $fixed = $this->list->addFor(
                of: $run,
                kind: Work::Cut,
                title: 'cut to measure',
                why: $why,
                units: $units['cut'],
                people: 1,
                tools: ['scissors'],
                after: [$loose],
            );
        }
        $early = $measured && count($run->sections) === 1 && $run->length() <= self::CARRIED;
        if ($early) {
            $fixed = $this->joints($run, $fixed, 'Loose, before it is fixed: then both sides can be reached.');
        }
        if ($profile) {
            $fixed = $this->list->addFor(
                of: $run,
                kind: Work::Profile,
                title: 'assemble the profile on the bench, then mount it',
                why: sprintf(
                    'Strip into profile, clips on its back every %s, mount the profile; fit the diffuser last.',
                    $this->plan->terms->say(Fixings::ANCHOR),
                ),
                units: $units['profile'],
                people: 2,
                tools: ['saw', 'drill'],
                caution: ($run->reached() ? '' : 'Ladders: two people. ') . 'Wear glasses at the saw.',
                after: [$fixed],
            );
        } else {
            $fixed = $this->list->addFor(
                of: $run,
                kind: Work::Stick,
                title: 'clean, then stick in short sections',
                why: 'It sticks to clean surfaces only; no creases.',
                units: $units['stick'],
                people: 1,
                tools: ['cleaning alcohol', 'roller'],
                caution: 'Alcohol burns: air the room, no flame.',
                after: [$fixed],
            );
        }
        if (!$measured) {
            $fixed = $this->list->addFor(
                of: $run,
                kind: Work::Cut,
                title: 'cut to length at the end without a feed',
                why: 'Cut only at the marks, after mounting, so that it cannot come up short.',
                units: $units['cut'],
                people: 1,
                tools: ['scissors'],
                after: [$fixed],
            );
        }
        $made = $early ? $fixed : $this->joints($run, $fixed);
        $wired = $this->signals($run, $made);
        $last = $this->list->addFor(
            of: $run,
            kind: Work::Second,
            title: 'second test',
            why: 'After the joints and before sealing: faults are still within reach.',
            units: $units['second'],
            people: 1,
            tools: ['meter'],
            caution: 'At both-end feeds lift one at a time and compare.',
            after: $wired,
        );
        $last = $this->batteries->proved($run, $last);
        if ($making->seal === 'glue') {
            $last = $this->list->addFor(
                of: $run,
                kind: Work::Seal,
                title: 'seal the ends with hot glue and tape',
                why: 'Set in minutes; not for where it stays wet.',
                units: $units['seal'],
                people: 1,
                tools: ['glue gun', 'tape'],
                caution: 'Hot glue burns the skin.',
                after: [$last],
            );
        } elseif (isset($units['seal'])) {
            $last = $this->list->addFor(
                of: $run,
                kind: Work::Seal,
                title: 'seal the ends with silicone',
                why: 'It stays damp: silicone, a day to cure.',
                units: $units['seal'],
                people: 1,
                tools: ['silicone'],
                caution: 'Silicone gives off acid while it cures: air.',
                after: [$last],
                wait: self::CURE,
            );
        }
        if ($profile) {
            return $this->list->addFor(
                of: $run,
                kind: Work::Diffuser,
                title: 'diffuser on',
                why: 'Last, when nothing behind it has to be reached.',
                units: $units['diffuser'],
                people: 1,
                tools: [],
                after: [$last],
            );
        }

        return $last;
    }

    /** The joints of a run: in its strip, at its cables and of its data. */
    private function joints(Run $run, string $after, string $when = ''): string
    {
        $of = new Joints($this->plan);
        $data = $of->ofData(DataLead::separateTo($this->plan, $run->id));
        $joints = RunJoints::for(
            $this->plan,
            new CableJoints($of->ofRun($run, $this->joined[$run->id] ?? 0) + $data->made, $data->terminals),
            $this->install->cables($run->id),
            $this->at,
        );

        return $this->list->joints($run, $joints, $after, $when);
    }

    /**
     * Signals of a vehicle: each is found by meter, then laid and joined.
     *
     * @return non-empty-list<string> steps before the second test
     */
    private function signals(Run $run, string $after): array
    {
        $last = [$after];
        foreach (SignalLead::at($this->plan, $run) as $lead) {
            $where = trim(($lead->noted->spot->where ?? '') . ' ');
            $find = $lead->noted?->found === true ? '' : 'find it with the meter, ';
            $last[] = $this->list->add(
                kind: Work::Item,
                of: "signal-{$lead->signal}",
                place: $this->plan->places[$run->place]->name ?? '',
                title: ucfirst($lead->signal) . " wire: {$find}lay it to " . strtoupper($lead->unit),
                why: ($where === '' ? '' : ucfirst($where) . '. ') .
                    'Live only while its signal lasts: try each of the four signals on it. A wrong wire may work something else.',
                units: 1.0,
                people: 2,
                tools: ['meter', 'cutter', 'labels'],
                caution: 'Battery minus off before a wire is opened. Never cut or load a lamp, brake or airbag wire: tap it through a small fuse. ' .
                    'Local rules decide.',
                after: [$after],
            );
        }

        return $last;
    }
}
