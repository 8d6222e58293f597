<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\Bases;
use App\History\Revisions;
use App\Http\Requests\PreviewRequest;
use App\Kit\Shelves;
use App\Models\Job;
use App\Models\User;
use App\Papers\Paper;
use App\Results\JobLoader;
use App\Screens\Parts\QuoteGiven;
use App\Screens\Parts\QuoteRows;
use App\Time\Clock;
use EmberDusk\Costing\Promise;
use EmberDusk\Costing\Quote;
use EmberDusk\Costing\QuoteChange;
use EmberDusk\Costing\QuoteLine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The quote for print and as PDF, and the changes since it was sent. */
final readonly class QuoteController
{
    public function __construct(private JobLoader $loader) {}

    public function html(Job $job): View
    {
        $revision = $job->newest();
        $plan = $revision->plan();
        $quote = $this->quote($job);

        return view('quote', [
            'quote' => QuoteRows::for($quote, $plan->terms)->write(),
            'works' => array_map(
                static fn(QuoteLine $l): array => ['what' => $l->what, 'amount' => Quote::money($l->cents)],
                $quote->works(),
            ),
            'hours' => QuoteLine::time($quote->minutes()),
            'deposit' => Quote::money((int) round($quote->total * $plan->terms->deposit)),
            'until' =>
                $plan->terms->validDays === 0
                    ? ''
                    : Clock::now()->addDays($plan->terms->validDays)->setTimezone(Clock::zone())->format('Y-m-d'),
            'job' => $plan->name,
            'client' => $plan->client,
            'revision' => $revision->number,
            'terms' => $plan->terms,
            'mains' => $plan->power()->onMains(),
            'printed' => Clock::day(),
        ]);
    }

    public function pdf(Job $job): Response
    {
        return Paper::pdf($this->html($job), Str::slug($job->name) . '-quote');
    }

    public function give(Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $quote = $this->quote($job);
        DB::transaction(
            static fn() => $job->quotes()->create([
                'user_id' => $user->id,
                'revision' => $job->newest()->number,
                'total' => $quote->total,
                'lines' => $quote->write(),
            ]),
        );

        return $this->since($job);
    }

    /** Effect of a change on the quote; saves nothing. */
    public function preview(PreviewRequest $request, Job $job, Revisions $revisions): JsonResponse
    {
        $plan = $job->newest()->plan();
        $after = $revisions->preview($job, Shelves::ofCrew($job->crew), $plan, $request->change());

        return new JsonResponse(QuoteRows::moved((new Promise($plan, Bases::for($job)))->change($after)));
    }

    /** The quote as it would be now beside the last that was given. */
    public function since(Job $job): JsonResponse
    {
        $state = $this->loader->load($job, $job->newest()->plan());
        $quote = $state->schedule()->quote();
        $given = $job->quotes()->latest('id')->first();

        $sent = null;
        if ($given !== null) {
            $sent = new QuoteGiven(
                revision: $given->revision,
                at: Clock::local($given->created_at)->format('Y-m-d'),
                total: Quote::money($given->total),
                changes: QuoteChange::since(
                    $given->lines,
                    $given->total,
                    $quote,
                    $state->plan->terms->currency,
                )->rows(),
            );
        }

        return new JsonResponse(QuoteRows::for($quote, $state->plan->terms, $sent));
    }

    private function quote(Job $job): Quote
    {
        return $this->loader
            ->load($job, $job->newest()->plan())
            ->schedule()
            ->quote();
    }
}
