<?php

declare(strict_types=1);

namespace App\Backup;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use ErrorException;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use ZipArchive;

/** Puts a backup where the configured database is, as long as nothing is kept there yet. */
final readonly class Restore
{
    /** Tables with rows made by people. */
    private const KEPT = ['crews', 'users', 'jobs'];

    /** File mode: readable by the application, not by other users of the server. */
    private const MODE = 0640;

    public function __construct(private Kernel $console, private Migrator $migrator) {}

    /** @throws Refusal when there is something in the database already, or the file is newer or damaged */
    public function from(string $path): Manifest
    {
        $target = DB::connection()->getDatabaseName();
        self::refuseUnlessEmpty($target);
        $zip = new ZipArchive();
        if (!is_file($path) || $zip->open($path, ZipArchive::CHECKCONS) !== true) {
            throw new InvalidInput("“{$path}” is missing, damaged or not an Ember Dusk backup. Nothing was restored.");
        }
        $manifest = Manifest::read(self::manifest($zip), $this->known());
        $copy = "{$target}.restored";
        try {
            self::unpack($zip, $copy, $manifest);
            DatabaseFile::open($copy, static function (DatabaseFile $file) use ($manifest): void {
                try {
                    $file->check();
                } catch (Refusal $t) {
                    throw new InvalidInput($t->getMessage() . ' Nothing was restored.');
                }
                if ($file->rows() !== $manifest->rows || $file->migrations() !== $manifest->migrations) {
                    throw new InvalidInput('The database does not match the manifest. Nothing was restored.');
                }
            });
            self::refuseUnlessEmpty($target);
            DB::purge();
            array_map(unlink(...), array_filter(["{$target}-wal", "{$target}-shm"], is_file(...)));
            chmod($copy, self::MODE);
            rename($copy, $target);
        } finally {
            @unlink($copy);
        }
        // An older program's backup is brought up to this one's tables.
        $this->console->call('migrate', ['--force' => true, '--quiet' => true]);

        return $manifest;
    }

    /** @return list<string> */
    private function known(): array
    {
        return array_keys($this->migrator->getMigrationFiles([database_path('migrations')]));
    }

    /** A damaged archive is a warning, which the framework throws. */
    private static function copied(ZipArchive $zip, string $copy): bool
    {
        try {
            $from = $zip->getStream(Backup::DATABASE);
            $to = fopen($copy, 'wb');
            if ($from === false || $to === false) {
                return false;
            }
            $copied = stream_copy_to_stream($from, $to) !== false;
            fclose($from);
            fclose($to);

            return $copied;
        } catch (ErrorException) {
            return false;
        }
    }

    private static function manifest(ZipArchive $zip): string
    {
        try {
            return (string) $zip->getFromName(Backup::MANIFEST);
        } catch (ErrorException) {
            return '';
        }
    }

    private static function unpack(ZipArchive $zip, string $copy, Manifest $manifest): void
    {
        if (!self::copied($zip, $copy)) {
            throw new InvalidInput(
                'The file is damaged: its database cannot be unpacked, or the disk is full. Nothing was restored.',
            );
        }
        if (hash_file('sha256', $copy) !== $manifest->sha256) {
            throw new InvalidInput(
                'The file is damaged: its database has changed since the backup was made. Nothing was restored.',
            );
        }
    }

    private static function refuseUnlessEmpty(string $target): void
    {
        if (!is_file($target) || filesize($target) === 0) {
            touch($target);

            return;
        }
        foreach (self::KEPT as $table) {
            if (Schema::hasTable($table) && DB::table($table)->exists()) {
                throw new InvalidInput(
                    "“{$target}” is not empty: it contains {$table}. A backup is restored into a database of its " .
                        'own; set DB_DATABASE to a new file. Nothing was changed.',
                );
            }
        }
    }
}
