<?php

declare(strict_types=1);

namespace App\Database;

use PDOException;
use Throwable;

/** Why a request failed through no fault of its own: the disk is full or read-only, or the database was locked for too long. */
enum Trouble: int
{
    case FullDisk = 507;
    case Busy = 503;
    case Unwritable = 500;

    /** SQLite's result codes. */
    private const FULL = 13;

    private const LOCKED = [5, 6];

    private const UNWRITABLE = [8, 14];

    public static function for(Throwable $e): ?self
    {
        for ($of = $e; $of !== null; $of = $of->getPrevious()) {
            $code = $of instanceof PDOException ? (int) ($of->errorInfo[1] ?? 0) : 0;
            $says = $of->getMessage();
            // A begin or commit outside a query carries the code in its message alone.
            if ($code === self::FULL || str_contains($says, 'database or disk is full') || FullDisk::stopped($of)) {
                return self::FullDisk;
            }
            if (in_array($code, self::LOCKED, true) || str_contains($says, 'database is locked')) {
                return self::Busy;
            }
            if (in_array($code, self::UNWRITABLE, true)) {
                return self::Unwritable;
            }
        }

        return null;
    }

    public function title(): string
    {
        return match ($this) {
            self::FullDisk => 'The disk is full',
            self::Busy => 'The database is busy',
            self::Unwritable => 'The database cannot be written',
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::FullDisk
                => 'The disk of the server is full: this was not saved. Everything saved before is still there. Free disk space, then try again.',
            self::Busy => 'The database was busy for too long: this was not saved. Try again in a moment.',
            self::Unwritable
                => 'The database of the server cannot be opened or written: this was not saved. Everything saved before is still there. Look whether its ' .
                'disk is read-only and whether its files belong to the user of the web server, then try again.',
        };
    }
}
