<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Time\Clock;
use App\Upkeep\Tidy;
use Illuminate\Console\Command;

final class TidyCommand extends Command
{
    protected $signature = 'ember:tidy';

    protected $description = 'Remove deleted jobs after 30 days, and old links, proposals, sessions, counters';

    public function handle(): int
    {
        foreach ((new Tidy(Clock::now()))->run() as $what => $count) {
            $this->line("{$what}: {$count} removed");
        }

        return 0;
    }
}
