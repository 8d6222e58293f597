<?php

declare(strict_types=1);

namespace App\Database;

use ErrorException;
use Illuminate\Support\Facades\DB;
use PDOException;
use Throwable;
use UnexpectedValueException;

/** Whether a file could not be written because there is no room left: a session, a log, a result, the database's own log. */
final readonly class FullDisk
{
    /** Bytes under which a file that cannot be written means a full disk. */
    private const ROOM = 300_000;

    /** SQLite's codes for a file that cannot be written or opened. */
    private const FILES = [10, 14];

    public static function stopped(Throwable $e): bool
    {
        if (str_contains($e->getMessage(), 'No space left on device')) {
            return true;
        }
        $file =
            $e instanceof ErrorException ||
            $e instanceof UnexpectedValueException ||
            ($e instanceof PDOException && in_array((int) ($e->errorInfo[1] ?? 0), self::FILES, true));
        if (!$file) {
            return false;
        }
        foreach (
            [storage_path(), dirname((string) DB::connection()->getConfig('database')), sys_get_temp_dir()]
            as $directory
        ) {
            if (is_dir($directory) && disk_free_space($directory) < self::ROOM) {
                return true;
            }
        }

        return false;
    }
}
