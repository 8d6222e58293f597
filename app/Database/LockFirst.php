<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\SQLiteConnection;
use PDOException;
use Throwable;

/**
 * A connection whose transactions take the database's write lock as they begin, so that what they read first still holds
 * when they write. One that reads first and wants the lock later is refused immediately when another wrote meanwhile, however
 * long it would wait ("database is locked").
 */
final class LockFirst extends SQLiteConnection
{
    /** Laravel's own transaction_mode needs PHP 8.4. */
    protected function executeBeginTransactionStatement(): void
    {
        $pdo = $this->getPdo();
        // PDO must know that there is one, or it would not end it; the one that it begins takes no lock yet.
        $pdo->beginTransaction();
        $pdo->exec('commit');
        try {
            $pdo->exec('begin immediate');
        } catch (Throwable $e) {
            $pdo->exec('begin');
            $pdo->rollBack();

            throw $e;
        }
    }

    /**
     * SQLite ends a transaction itself when the disk is full or cannot be read. There has to be one to roll back, or that
     * failure would hide the cause.
     *
     * @param  int  $toLevel
     */
    protected function performRollBack($toLevel): void
    {
        if ($toLevel === 0) {
            try {
                $this->getPdo()->exec('begin');
            } catch (PDOException) {
                // It is still there.
            }
        }
        parent::performRollBack($toLevel);
    }
}
