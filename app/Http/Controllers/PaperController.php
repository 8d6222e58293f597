<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Papers\Paper;
use App\Results\JobLoader;
use App\Screens\Build\Papers;
use App\Time\Clock;
use EmberDusk\Job\JobState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** Day sheets and the list to pack the van by, to print and as PDF. */
final readonly class PaperController
{
    public function __construct(private JobLoader $loader) {}

    public function days(Job $job): View
    {
        $state = $this->state($job);

        return view('days', [
            'job' => $job->name,
            'days' => Papers::days($state),
            'mains' => $state->plan->power()->onMains(),
        ]);
    }

    public function daysPdf(Job $job): Response
    {
        return Paper::pdf($this->days($job), Str::slug($job->name) . '-day-sheets');
    }

    public function van(Job $job): View
    {
        return view('van', ['job' => $job->name, 'printed' => Clock::day(), 'van' => Papers::van($this->state($job))]);
    }

    public function vanPdf(Job $job): Response
    {
        return Paper::pdf($this->van($job), Str::slug($job->name) . '-van');
    }

    private function state(Job $job): JobState
    {
        return $this->loader->load($job, $job->newest()->plan());
    }
}
