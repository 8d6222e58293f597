<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Joining\RunLog;
use App\Joining\Runs;
use App\Models\Job;
use App\Models\User;
use App\Papers\Paper;
use App\Results\JobLoader;
use App\Time\Clock;
use EmberDusk\Checks\Findings;
use EmberDusk\Handover\Sheet;
use EmberDusk\Handover\Tested;
use EmberDusk\Joining\Words;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Inertia\Inertia;
use Inertia\Response as Page;

/** The Hand over stage: one sheet as page, as printable HTML and as PDF. */
final readonly class HandoverController
{
    public function __construct(private JobLoader $loader, private Runs $runs, private RunLog $log) {}

    public function show(Job $job, #[CurrentUser] User $user): Page
    {
        return Inertia::render('Handover', [
            'answer' => $this->loader->answer($job, $user, $job->newest(), 'handover'),
            'sheet' => $this->sheet($job),
        ]);
    }

    public function html(Job $job): View
    {
        return view('sheet', ['sheet' => $this->sheet($job)]);
    }

    public function pdf(Job $job): Response
    {
        return Paper::pdf($this->html($job), Str::slug($job->name));
    }

    /** @return array<string, mixed> as in app/Screens/Handover/handover.json, $defs/sheetPicture */
    private function sheet(Job $job): array
    {
        $revision = $job->newest();
        $plan = $revision->plan();
        $log = [];
        // What was joined on site; a rehearsal is told as one.
        $run = $job->joinRuns()->where('site', true)->latest('id')->first();
        $rehearsed = $job->joinRuns()->where('site', false)->latest('id')->first()?->created_at;
        if ($run !== null) {
            $log = array_map(
                static fn(array $line): string => $line['at'] . '  ' . $line['text'],
                Words::lines($this->log->of($run), $this->runs->live($job, $run)?->roster),
            );
        }

        $state = $this->loader->load($job, $plan);

        return [
            'printed' => Clock::day(),
            'rehearsed' => $rehearsed === null ? null : Clock::local($rehearsed)->format('Y-m-d H:i'),
            'by' =>
                $run === null
                    ? ''
                    : trim((string) $run->user?->name . ($run->hand === '' ? '' : ', with ' . $run->hand)),
            'joined' => $run?->created_at === null ? null : Clock::local($run->created_at)->format('Y-m-d H:i'),
        ] +
            Sheet::of(
                plan: $plan,
                results: $state->results,
                joinLog: $log,
                findings: Findings::of($state),
                revision: $revision->number,
                tested: Tested::of($state),
                joined: $run === null ? [] : $this->log->of($run),
            );
    }
}
