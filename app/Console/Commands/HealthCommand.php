<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Upkeep\Health;
use Illuminate\Console\Command;

final class HealthCommand extends Command
{
    protected $signature = 'ember:health';

    protected $description = 'Print troubles of the installation: database, disk, worker, backups';

    public function handle(): int
    {
        $troubles = Health::configured()->troubles();
        foreach ($troubles === [] ? ['ok'] : $troubles as $line) {
            $this->line($line);
        }

        return $troubles === [] ? 0 : 1;
    }
}
