<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backup;
use Illuminate\Console\Command;

final class BackupCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:backup {file : the new file}';

    protected $description = 'Back up all data into one file, while people work';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $manifest = Backup::to((string) $this->argument('file'));
            $this->line(
                sprintf(
                    '%s: %d jobs, %d revisions, %d photos, all verified.',
                    $this->argument('file'),
                    $manifest->rows['jobs'] ?? 0,
                    $manifest->rows['revisions'] ?? 0,
                    $manifest->rows['photos'] ?? 0,
                ),
            );

            return 0;
        });
    }
}
