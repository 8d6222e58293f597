<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** Databases in files of their own, one at a time the application's. */
trait DatabaseFiles
{
    private string $home;

    protected function setUp(): void
    {
        parent::setUp();
        $this->home = sys_get_temp_dir() . '/ember-files-' . bin2hex(random_bytes(6));
        mkdir($this->home);
    }

    protected function tearDown(): void
    {
        DB::purge();
        array_map(unlink(...), glob($this->home . '/*') ?: []);
        rmdir($this->home);
        parent::tearDown();
    }

    /** Makes a file the application's database: migrated, unless it is to stay unchanged. */
    private function database(string $name, bool $migrate = true): string
    {
        $file = "{$this->home}/{$name}.sqlite";
        touch($file);
        config(['database.connections.sqlite.database' => $file]);
        DB::purge();
        if ($migrate) {
            self::assertSame(0, Artisan::call('migrate', ['--force' => true]));
        }

        return $file;
    }
}
