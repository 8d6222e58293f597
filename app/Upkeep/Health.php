<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Models\JobProposal;
use App\Time\Clock;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Troubles of the installation in words; none if all is well. */
final readonly class Health
{
    /** Seconds of waiting after which a proposal shows that the worker is gone. */
    private const WAITS = 120;

    /** Hours after which the newest backup is too old, where backups are made every day. */
    private const BACKUP = 50;

    /** @param  string  $backups  folder of the backups; empty where none is configured */
    public function __construct(private float $freeMegabytes, private string $backups) {}

    public static function configured(): self
    {
        return new self((float) config('ember.disk_megabytes'), (string) config('ember.backups'));
    }

    /** @return list<string> */
    public function troubles(): array
    {
        try {
            DB::select('select count(*) from jobs where id = 0');
        } catch (Throwable) {
            return ['The database cannot be read.'];
        }

        return [...$this->disk(), ...$this->worker(), ...$this->backup()];
    }

    /** @return list<string> */
    private function disk(): array
    {
        $free = disk_free_space(dirname((string) DB::connection()->getConfig('database')));
        if ($free === false || $free >= $this->freeMegabytes * 1e6) {
            return [];
        }

        return [sprintf('The disk of the database has %.0f MB left.', $free / 1e6)];
    }

    /** @return list<string> */
    private function worker(): array
    {
        $waits = JobProposal::query()
            ->where('state', 'waiting')
            ->where('updated_at', '<', Carbon::instance(Clock::now())->subSeconds(self::WAITS))
            ->exists();

        return $waits ? ['The worker is not running: a proposal waits.'] : [];
    }

    /** @return list<string> */
    private function backup(): array
    {
        if ($this->backups === '') {
            return [];
        }
        $newest = max([0, ...array_map(filemtime(...), glob("{$this->backups}/*.zip") ?: [])]);
        $hours = (Clock::now()->getTimestamp() - $newest) / 3600;

        return match (true) {
            $newest === 0 => ['There is no backup.'],
            $hours > self::BACKUP => [sprintf('The newest backup is %.0f hours old.', $hours)],
            default => [],
        };
    }
}
