<?php

declare(strict_types=1);

namespace App\Results;

use App\Models\Job;
use App\Screens\Desk\SolvedFix;
use EmberDusk\Checks\Findings;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Circuit\Fingerprint;
use EmberDusk\Circuit\Island;
use EmberDusk\Formats\Json;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Document;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;

/** Fixes that need a solve, cached by the fingerprint of their circuit. */
final readonly class SolvedFixes
{
    public function __construct(private ResultStore $store) {}

    /** @return list<SolvedFix> */
    public function for(Job $job, JobState $state): array
    {
        $found = [];
        foreach ((new Findings($state))->for() as $finding) {
            if ($finding->asks) {
                $found[] = new SolvedFix(
                    code: $finding->code,
                    place: $finding->place->id,
                    title: $finding->title,
                    fixes: $this->kept($job, $state, $finding),
                );
            }
        }

        return $found;
    }

    /** @return list<Fix> */
    private function kept(Job $job, JobState $state, Finding $finding): array
    {
        $run = $state->plan->runs[$finding->place->id] ?? null;
        $island = $run !== null ? Island::for($state->plan, $run) : null;
        if ($island === null) {
            return [];
        }
        $key =
            'fixes.' .
            hash(
                'sha256',
                Json::compact([
                    Fingerprint::for($state->plan, $island),
                    Document::write($state->plan)['limits'],
                    $job->crew->shelf_version,
                    $finding->code,
                    $finding->title,
                    $finding->number,
                ]),
            );
        /** @var list<array{label: string, change: array<string, mixed>}>|null $kept */
        $kept = $this->store->get($key);
        if ($kept === null) {
            $kept = array_map(
                static fn(Fix $f): array => $f->write(),
                Registry::mend(JudgedJob::for($state), $finding),
            );
            $this->store->put($key, $kept);
        }

        return array_map(static fn(array $f): Fix => new Fix($f['label'], ChangePayload::read($f['change'])), $kept);
    }
}
