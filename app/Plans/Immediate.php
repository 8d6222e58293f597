<?php

declare(strict_types=1);

namespace App\Plans;

use Illuminate\Support\Facades\DB;
use Throwable;

/** A write transaction that takes the database's write lock at once, so that what it reads first still holds when it writes. */
final class Immediate
{
    private static bool $open = false;

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public static function run(callable $work): mixed
    {
        $pdo = DB::connection()->getPdo();
        if (self::$open) {
            return $work();
        }
        if (DB::transactionLevel() > 0) {
            return DB::transaction(fn () => $work());
        }
        // Laravel's own transaction_mode needs PHP 8.4.
        $pdo->exec('BEGIN IMMEDIATE');
        self::$open = true;
        try {
            $result = $work();
            $pdo->exec('COMMIT');

            return $result;
        } catch (Throwable $e) {
            $pdo->exec('ROLLBACK');

            throw $e;
        } finally {
            self::$open = false;
        }
    }
}
