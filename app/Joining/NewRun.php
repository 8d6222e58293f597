<?php

declare(strict_types=1);

namespace App\Joining;

use App\Models\Job;
use App\Models\JoinRun;
use App\Models\User;
use App\Time\Clock;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Values\InvalidInput;
use Illuminate\Support\Facades\DB;

/** A new join run: its plan, order, method and hidden faults. */
final readonly class NewRun
{
    public const SPEEDS = [0, 1, 20];

    /** Version of the steps in current logs. */
    public const FORM = 2;

    /**
     * @param  bool  $site  with real devices, at the clock's own pace; else a rehearsal against simulated devices
     * @param  string  $hand  the device that is in the hand: which phone
     * @param  int  $hidden  faults that are hidden in the simulated devices, drawn by the run's seed
     * @param  list<string>  $fixed  panels that are on their walls already
     * @param  string  $recovery  key of a loss or replacement; empty: the first join
     */
    public function begin(
        Job $job,
        User $user,
        int $speed,
        bool $site = false,
        string $hand = '',
        string $timing = TimingMethod::SEARCH_FIRST,
        bool $trustsNew = false,
        int $hidden = 0,
        array $fixed = [],
        string $recovery = '',
    ): JoinRun {
        if ($site && $speed !== 1) {
            throw InvalidInput::at('/speed', 'On site a run follows the clock.');
        }

        return DB::transaction(function () use (
            $job,
            $user,
            $speed,
            $site,
            $hand,
            $timing,
            $trustsNew,
            $hidden,
            $fixed,
            $recovery,
        ): JoinRun {
            $newest = $job->newest();
            $school = new TimingMethod($timing, $trustsNew);
            $roster = RunDevices::for($newest->plan(), $school, $fixed, $recovery)->roster;
            $seed = $job->id * 1000 + $job->joinRuns()->count();

            $flaws = !$site ? implode(' ', array_keys((new Flaws($roster))->drawn($seed, $hidden))) : '';

            return $job->joinRuns()->create([
                'user_id' => $user->id,
                'site' => $site,
                'hand' => $hand,
                'form' => self::FORM,
                'school' => $timing,
                'trusts_new' => $trustsNew,
                'flaws' => $flaws,
                'fixed' => $fixed,
                'recovery' => $recovery,
                'tasks' => array_map(static fn(Task $t): array => $t->write(), Order::for($roster)),
                'revision' => $newest->number,
                'seed' => $seed,
                'clock_seconds' => 0,
                'clock_since' => (float) Clock::now()->format('U.u'),
                'speed' => $speed,
            ]);
        });
    }
}
