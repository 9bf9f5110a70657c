<?php

namespace App\Http;

use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Fault\UnknownName;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** Turns exceptions into answers: bad input names its field, and no answer says how the inside is built. */
final class ProblemRenderer
{
    /** Insufficient Storage (RFC 4918, 11.5). */
    private const NO_ROOM = 507;

    public static function register(Exceptions $exceptions): void
    {
        // What is refused is answered, not logged: it says nothing of us, and anybody can send as much of it as they like.
        $exceptions->dontReport([BadInput::class, UnknownName::class]);
        $exceptions->render(fn (BadInput $bad): JsonResponse => response()->json(['message' => $bad->getMessage(), 'errors' => $bad->errors], 422));
        $exceptions->render(fn (UnknownName $unknown): JsonResponse => response()->json(['message' => $unknown->getMessage()], 404));
        $exceptions->render(fn (ValidationException $invalid, Request $request): ?JsonResponse => $request->is('api/*')
            ? response()->json(['message' => $invalid->getMessage(), 'errors' => $invalid->errors()], 422) : null);
        // The framework would name the class it looked for.
        $exceptions->render(fn (NotFoundHttpException $missing, Request $request): ?JsonResponse => $request->is('api/*')
            ? response()->json(['message' => 'There is nothing at this address.'], 404) : null);
        // Beginning and committing fail as the driver says it, every other query as the framework does: both are this.
        $exceptions->map(PDOException::class, fn (PDOException $failed) => match (true) {
            self::isOutOfReach($failed) => new ServiceUnavailableHttpException(10, 'The database is out of reach.', $failed),
            self::isInEachOthersWay($failed) => new ServiceUnavailableHttpException(1, 'Two things were written at once: try again in a moment.', $failed),
            self::isWithoutRoom($failed) => new HttpException(
                self::NO_ROOM, 'The server’s disk is full: nothing can be kept until there is room again.', $failed,
            ),
            default => $failed,
        });
        // A failed query would carry its values into the log, and with them names and telephone numbers.
        $exceptions->report(function (PDOException $failed): false {
            logger()->error('A query failed: '.($failed->errorInfo[0] ?? '').' '.preg_replace("/'[^']*'/", "'…'", (string) ($failed->errorInfo[2] ?? '')));

            return false;
        });
    }

    /** Errors of MariaDB where a table, a file or the disk has no room left, whatever storage engine found it. */
    private static function isWithoutRoom(PDOException $failed): bool
    {
        return in_array($failed->errorInfo[1] ?? null, [1021, 1114], true) || preg_match(
            '/\b(errcode|errno|error):? ?28\b/i', (string) ($failed->errorInfo[2] ?? ''),
        ) === 1;
    }

    /** Two changes waited for each other, or one too long for another: nothing was written, and in a moment it can be. */
    private static function isInEachOthersWay(PDOException $failed): bool
    {
        return in_array($failed->errorInfo[1] ?? null, [1205, 1213], true);
    }

    /** It cannot be reached, has gone, is ending or has too many with it; it may be back in a moment. */
    private static function isOutOfReach(PDOException $failed): bool
    {
        return in_array($failed->errorInfo[1] ?? null, [2002, 2003, 2006, 2013, 1040, 1053, 1927], true);
    }
}
