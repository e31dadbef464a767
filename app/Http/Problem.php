<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\ItemNotFoundException;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** What the API answers when it refuses: one sentence, and a reason for each place that is wrong. */
#[OA\Schema]
final readonly class Problem
{
    /**
     * @param  array<string, list<string>>  $errors  place => reasons
     * @param  array<string, string>  $theirs  when somebody else saved first: what is there now, by field
     */
    public function __construct(
        #[OA\Property] public string $message,
        #[
            OA\Property(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')),
            ),
        ]
        public array $errors = [],
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public array $theirs = [],
    ) {}

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(static fn(Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport([Refusal::class, Stale::class, ItemNotFoundException::class]);
        $exceptions->render(
            static fn(Refusal $e): JsonResponse => self::answer(
                422,
                $e->getMessage(),
                array_map(static fn(string $reason): array => [$reason], $e->reasons),
            ),
        );
        $exceptions->dontReport(\OverflowException::class);
        $exceptions->render(static fn(\OverflowException $e): JsonResponse => self::answer(422, $e->getMessage()));
        $exceptions->dontReportWhen(
            static fn(\Throwable $e): bool => $e instanceof QueryException && str_starts_with((string) $e->getCode(), '22'),
        );
        $exceptions->render(static fn(Stale $e): JsonResponse => self::answer(409, $e->getMessage(), [], $e->theirs));
        $exceptions->render(
            static fn(\PDOException $e): ?JsonResponse => self::isAway($e)
                ? self::answer(503, 'The database cannot be reached. What you typed is still here; try again in a moment.')->withHeaders([
                    'Retry-After' => '10',
                ])
                : null,
        );
        $exceptions->render(static function (\Throwable $e, Request $request): ?JsonResponse {
            if (!$request->is('api/*')) {
                return null;
            }

            return match (true) {
                $e instanceof ValidationException => self::answer(
                    $e->status,
                    implode(' ', $e->validator->errors()->all()),
                    self::errors($e),
                ),
                $e instanceof ItemNotFoundException => self::answer(404, 'There is nothing of this number here.'),
                $e instanceof AuthenticationException => self::answer(401, 'Sign in first.'),
                $e instanceof AuthorizationException => self::answer(403, 'Your role does not allow this.'),
                // A value that no column of the database takes, such as an id beyond its integers: nothing is there, nothing is kept.
                $e instanceof QueryException && str_starts_with((string) $e->getCode(), '22') => $request->isMethodSafe()
                    ? self::answer(404, 'There is nothing of this number here.')
                    : self::answer(422, 'One of these values cannot be kept: it is too large, or no such value.'),
                $e instanceof HttpExceptionInterface => self::answer(
                    $e->getStatusCode(),
                    match ($e->getStatusCode()) {
                        403 => 'Your role does not allow this.',
                        404 => 'There is nothing of this number here.',
                        419 => 'Your session has ended. Sign in again; what you typed is still here.',
                        429 => 'Too many tries. Wait a minute.',
                        default => 'The server could not do this.',
                    },
                )->withHeaders($e->getHeaders()),
                default => null,
            };
        });
    }

    /** Whether the database is down, starting, or has no connection left (SQLSTATE classes 08, 53 and 57). */
    private static function isAway(\PDOException $e): bool
    {
        return preg_match('/^(08|53|57P)/', (string) ($e->errorInfo[0] ?? '')) === 1 || $e->getCode() === 7;
    }

    /** @return array<string, list<string>> */
    private static function errors(ValidationException $e): array
    {
        $errors = [];
        foreach ($e->validator->errors()->toArray() as $place => $reasons) {
            $errors[(string) $place] = array_values(array_map(strval(...), (array) $reasons));
        }

        return $errors;
    }

    /**
     * @param  array<string, list<string>>  $errors
     * @param  array<string, string>  $theirs
     */
    private static function answer(int $status, string $message, array $errors = [], array $theirs = []): JsonResponse
    {
        // A reason may quote what came from outside: a piece of a file that is no text, for one.
        return new JsonResponse(
            [
                'message' => $message,
                'errors' => (object) $errors,
                'theirs' => (object) $theirs,
            ],
            $status,
            options: JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }
}
