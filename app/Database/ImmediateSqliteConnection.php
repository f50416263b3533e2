<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\SQLiteConnection;

/**
 * Takes the write lock when a transaction begins, and waits for it there. A transaction that first reads and then
 * writes would otherwise be refused at once ("database is locked") when somebody else has written in between. The
 * framework does this by itself from PHP 8.4 on: executeBeginTransactionStatement() can go then.
 */
final class ImmediateSqliteConnection extends SQLiteConnection
{
    use KnowsWhatWasWritten;

    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        if (version_compare(PHP_VERSION, '8.4.0', '>=') || $this->getConfig('transaction_mode') !== 'IMMEDIATE') {
            return;
        }
        $pdo = $this->getPdo();
        // PDO knows only plain transactions: it begins one, which is replaced while still empty.
        $pdo->exec('COMMIT');
        try {
            $pdo->exec('BEGIN IMMEDIATE');
        } catch (\PDOException $e) {
            $pdo->exec('BEGIN');
            $pdo->rollBack();
            throw $e;
        }
    }
}
