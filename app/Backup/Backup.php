<?php

declare(strict_types=1);

namespace App\Backup;

use App\Time\Clock;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use Illuminate\Support\Facades\DB;
use ZipArchive;

/** Everything that is kept, in one file: jobs with their history, photos, ticks, the shelf, accounts. Taken while people work. */
final readonly class Backup
{
    public const DATABASE = 'ember.sqlite';

    public const MANIFEST = 'manifest.json';

    /** @throws Refusal when the file is there already, cannot be written, or something kept cannot be read */
    public static function to(string $path): Manifest
    {
        if (file_exists($path)) {
            throw new InvalidInput("“{$path}” already exists. Choose another file name; nothing was overwritten.");
        }
        if (!is_dir(dirname($path)) || !is_writable(dirname($path))) {
            throw new InvalidInput('“' . dirname($path) . '” is not a writable folder.');
        }
        $copy = "{$path}.database";
        $part = "{$path}.part";
        try {
            @unlink($copy);
            // One state of the entire database, the person who writes meanwhile.
            DB::statement('vacuum into ?', [$copy]);
            $manifest = DatabaseFile::open($copy, static function (DatabaseFile $file) use ($copy): Manifest {
                $file->check();

                return new Manifest(
                    Clock::now()->toIso8601String(),
                    $file->migrations(),
                    $file->rows(),
                    (string) hash_file('sha256', $copy),
                );
            });
            $zip = new ZipArchive();
            if (
                $zip->open($part, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true ||
                !$zip->addFromString(self::MANIFEST, $manifest->write()) ||
                !$zip->addFile($copy, self::DATABASE) ||
                !$zip->close()
            ) {
                throw new InvalidInput("“{$path}” was not written completely. Is the disk full?");
            }
            rename($part, $path);

            return $manifest;
        } finally {
            @unlink($copy);
            @unlink($part);
        }
    }
}
