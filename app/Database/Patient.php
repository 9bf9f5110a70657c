<?php

namespace App\Database;

use Closure;
use Illuminate\Database\MariaDbConnection;
use Illuminate\Database\QueryException;
use PDOException;

/** A connection that says a single statement again when MariaDB ended it in favour of another: nothing of it was done. */
final class Patient extends MariaDbConnection
{
    /** How often it is said (assumed): each time another has gone on. */
    private const TRIES = 5;

    /** As MariaDB says it of what waited for another that waited for it. */
    private const DEADLOCK = 1213;

    /**
     * @param  string  $query
     * @param  array<mixed>  $bindings
     *
     * @throws QueryException of a transaction, which whoever began it begins anew; or where it was ended each time
     */
    protected function handleQueryException(QueryException $e, $query, $bindings, Closure $callback): mixed
    {
        for ($try = 1; $this->transactions === 0 && self::wasEnded($e) && $try < self::TRIES; $try++) {
            try {
                return $this->runQueryCallback($query, $bindings, $callback);
            } catch (QueryException $again) {
                $e = $again;
            }
        }

        return parent::handleQueryException($e, $query, $bindings, $callback);
    }

    private static function wasEnded(QueryException $e): bool
    {
        $from = $e->getPrevious();

        return $from instanceof PDOException && ($from->errorInfo[1] ?? null) === self::DEADLOCK;
    }
}
