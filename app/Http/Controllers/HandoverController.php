<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Models\User;
use App\Papers\ClientLinks;
use App\Papers\JobSheet;
use App\Papers\Paper;
use App\Results\JobLoader;
use EmberDusk\Values\JobStage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Inertia\Inertia;
use Inertia\Response as Page;

/** The Hand over stage: one sheet as page, as printable HTML and as PDF. */
final readonly class HandoverController
{
    public function __construct(private JobLoader $loader, private JobSheet $sheet, private ClientLinks $links) {}

    public function show(Job $job, #[CurrentUser] User $user): Page
    {
        return Inertia::render('Handover', [
            'answer' => $this->loader->answer($job, $user, $job->newest(), JobStage::HandOver),
            'sheet' => $this->sheet->for($job),
            'links' => $this->links->for($job),
        ]);
    }

    public function html(Job $job): View
    {
        return view('sheet', ['sheet' => $this->sheet->for($job)->write()]);
    }

    public function pdf(Job $job): Response
    {
        return Paper::pdf($this->html($job), Str::slug($job->name));
    }
}
