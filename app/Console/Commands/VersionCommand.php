<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Version;
use Illuminate\Console\Command;

final class VersionCommand extends Command
{
    protected $signature = 'ember:version';

    protected $description = 'Print the version';

    public function handle(): int
    {
        $this->line(Version::text());

        return 0;
    }
}
