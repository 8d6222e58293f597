<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Restore;
use Illuminate\Console\Command;

final class RestoreCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:restore {file : a backup}';

    protected $description = 'Restore a backup into the configured database, which must be empty';

    public function handle(Restore $restore): int
    {
        return $this->answering(function () use ($restore): int {
            $manifest = $restore->from((string) $this->argument('file'));
            $this->line(
                sprintf(
                    'Restored as of %s: %d jobs, %d revisions, %d photos.',
                    $manifest->taken,
                    $manifest->rows['jobs'] ?? 0,
                    $manifest->rows['revisions'] ?? 0,
                    $manifest->rows['photos'] ?? 0,
                ),
            );

            return 0;
        });
    }
}
