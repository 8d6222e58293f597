<?php

declare(strict_types=1);

namespace App\Database;

use ErrorException;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Whether something failed because there is no room left, and how that is told. */
final readonly class FullDisk
{
    public const WORDS = 'The disk of the server is full: this was not kept. What was kept before stands. Make room on it, then try again.';

    /** SQLITE_FULL */
    private const FULL = 13;

    /** Bytes under which a file that cannot be written means a full disk. */
    private const ROOM = 300_000;

    public static function caused(Throwable $e): bool
    {
        for ($of = $e; $of !== null; $of = $of->getPrevious()) {
            if ($of instanceof QueryException && ($of->errorInfo[1] ?? 0) === self::FULL) {
                return true;
            }
            if ($of instanceof ErrorException) {
                foreach (
                    [storage_path(), dirname((string) DB::connection()->getConfig('database')), sys_get_temp_dir()]
                    as $directory
                ) {
                    if (is_dir($directory) && disk_free_space($directory) < self::ROOM) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
