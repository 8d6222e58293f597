<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\LogBook;
use App\Http\Requests\LogFileRequest;
use App\Http\Requests\LogSearchRequest;
use App\Models\Job;
use App\Models\User;
use App\Papers\Download;
use App\Results\JobLoader;
use App\Screens\Bench\LogImportCounts;
use App\Screens\Bench\LogPage;
use App\Time\Clock;
use EmberDusk\Bench\Log\LogCsv;
use EmberDusk\Values\JobStage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Inertia\Inertia;
use Inertia\Response as Page;

/** The log of a job: looked through, written as CSV, read in again. */
final readonly class LogController
{
    public function __construct(private JobLoader $loader) {}

    public function show(LogSearchRequest $request, Job $job, #[CurrentUser] User $user): Page
    {
        return Inertia::render('Log', [
            'answer' => $this->loader->answer($job, $user, $job->newest(), JobStage::Bench),
            'log' => $this->page($request, $job),
        ]);
    }

    public function search(LogSearchRequest $request, Job $job): JsonResponse
    {
        return new JsonResponse($this->page($request, $job));
    }

    public function csv(Job $job): Response
    {
        $rows = [];
        // Strikes come first, newest first like the rest: read in again, each follows the entry that it strikes out.
        foreach ([...LogBook::strikes($job), ...LogBook::lines($job)->get()] as $row) {
            $rows[] = array_map(static fn(mixed $v): string => is_scalar($v) ? (string) $v : '', (array) $row);
        }

        return Download::with(LogCsv::write(array_reverse($rows)), Str::slug($job->name) . '-log.csv', Download::CSV);
    }

    public function import(LogFileRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $read = LogCsv::read($request->text(), Clock::now()->format('Y-m-d\TH:i:s.v\Z'));
        $plan = $job->newest()->plan();
        $new = DB::transaction(static function () use ($read, $job, $plan, $user): int {
            $new = 0;
            foreach ($read['entries'] as $entry) {
                $new += (int) LogBook::keep($job, $plan, $entry, $user->id, null);
            }

            return $new;
        });

        return new JsonResponse(
            new LogImportCounts(new: $new, same: count($read['entries']) - $new, elsewhere: $read['elsewhere']),
        );
    }

    private function page(LogSearchRequest $request, Job $job): LogPage
    {
        return LogPage::for(
            job: $job,
            plan: $job->newest()->plan(),
            words: $request->string('q')->toString(),
            kind: $request->string('kind')->toString(),
            part: $request->string('part')->toString(),
            page: max(1, $request->integer('page', 1)),
        );
    }
}
