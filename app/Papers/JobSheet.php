<?php

declare(strict_types=1);

namespace App\Papers;

use App\Joining\RunLog;
use App\Joining\Runs;
use App\Kit\KitNotes;
use App\Models\Job;
use App\Models\JoinEvent;
use App\Results\JobLoader;
use App\Screens\Bench\AcceptedPoint;
use App\Screens\Desk\Named;
use App\Screens\Handover\IssuedSheet;
use App\Time\Clock;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Checks\Findings;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Handover\AcceptanceRecord;
use EmberDusk\Handover\SheetBuilder;
use EmberDusk\Handover\TestRecord;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\JoinLine;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Plan;

/** The current sheet of a job: for the page, for paper, and for the client's link. */
final readonly class JobSheet
{
    public function __construct(
        private JobLoader $loader,
        private Runs $runs,
        private RunLog $log,
        private LeftFacts $facts,
        private KitNotes $notes,
    ) {}

    public function for(Job $job): IssuedSheet
    {
        $revision = $job->newest();
        $plan = $revision->plan();
        $log = [];
        // Joins on site; a rehearsal is labelled as one.
        $run = $job->joinRuns()->where('site', true)->latest('id')->first();
        $rehearsed = $job->joinRuns()->where('site', false)->latest('id')->first()?->created_at;
        if ($run !== null) {
            $log = array_map(
                static fn(JoinLine $line): string => $line->at . '  ' . $line->text,
                EventWords::lines($this->log->for($run)),
            );
        }

        $state = $this->loader->load($job, $plan);
        $roster = null;
        $by = '';
        if ($run !== null) {
            $roster = $this->runs->live($job, $run)?->roster;
            $by = trim((string) $run->user?->name . ($run->hand === '' ? '' : ', with ' . $run->hand));
        }
        $accepted = $run !== null && $roster !== null ? AcceptanceRecord::from($roster, $this->log->timed($run)) : [];
        $joined = $run?->created_at !== null ? Clock::local($run->created_at)->format('Y-m-d H:i') : null;

        return new IssuedSheet(
            printed: Clock::day(),
            rehearsed: $rehearsed === null ? null : Clock::local($rehearsed)->format('Y-m-d H:i'),
            by: $by,
            accepted: $accepted,
            facts: $this->facts->for($job),
            notes: $this->notes->for($job->crew, $plan),
            kits: self::kits($plan),
            joined: $joined,
            seen: array_map(
                static fn(LogEntry $e): string => AcceptedPoint::from($e, Clock::zone())->words(),
                (new Findings($state))->accepted(),
            ),
            sheet: (new SheetBuilder(JudgedJob::for($state)))->sheet(
                joinLog: $log,
                findings: (new Findings($state))->for(),
                revision: $revision->number,
                tested: TestRecord::for($state),
                joined: $run === null ? [] : $this->log->for($run),
                worked: $state->worked,
                tried: self::tried($job),
            ),
        );
    }

    /** @return array<string, string> day and person of the last trial that was answered, by control and light */
    private static function tried(Job $job): array
    {
        $tried = [];
        foreach (JoinEvent::answered($job)->with('user')->orderBy('id')->get() as $event) {
            $by = $event->user?->name;
            $tried[$event->pair()] =
                Clock::local($event->created_at)->format('j M Y') . ($by === null ? '' : " by {$by}");
        }

        return $tried;
    }

    /** @return list<Named> kit that a note can be about */
    private static function kits(Plan $plan): array
    {
        return array_values(
            array_map(
                static fn(KitSnapshot $k): Named => new Named(id: $k->entry->id(), name: $k->entry->name()),
                $plan->kit,
            ),
        );
    }
}
