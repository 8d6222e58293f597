<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\History\DeletedJobs;
use App\Models\JobProposal;
use App\Models\PersonLink;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Daily removal of expired and recalculable data. Work is never removed. */
final readonly class Tidy
{
    /** Days that an answered proposal and an expired link are kept. */
    private const DAYS = 30;

    /** Days after which an unused session is over: as long as “stay signed in”. */
    private const SESSION = 31;

    public function __construct(private CarbonImmutable $now) {}

    /** @return array<string, int> number removed, by kind */
    public function run(): array
    {
        $before = Carbon::instance($this->now)->subDays(self::DAYS);

        return [
            'deleted jobs' => DeletedJobs::expire($this->now),
            'proposals' => DB::transaction(
                static fn(): int => JobProposal::query()->where('updated_at', '<', $before)->delete(),
            ),
            'links' => DB::transaction(
                static fn(): int => PersonLink::query()->where('expires_at', '<', $before)->delete(),
            ),
            'sessions' => $this->files(storage_path('framework/sessions'), self::SESSION),
            'counters' => $this->files(storage_path('framework/cache/data'), 1),
        ];
    }

    private function files(string $folder, int $days): int
    {
        $removed = 0;
        foreach (is_dir($folder) ? File::allFiles($folder) : [] as $file) {
            if ($file->getMTime() < $this->now->subDays($days)->getTimestamp()) {
                $removed += (int) File::delete($file->getPathname());
            }
        }

        return $removed;
    }
}
