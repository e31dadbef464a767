<?php

declare(strict_types=1);

namespace App\Reading;

use App\Files\StoredFile;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * Stands last in front of every act that reads a file which somebody brought. No file is read in a request, where it could keep
 * the others waiting: the request is written down, a worker answers it in their name, and whoever asked fetches the answer.
 */
final readonly class ReadInWorker
{
    /** So many files of one person wait or are read at a time. */
    private const AT_ONCE = 2;

    private const LARGEST = 33_554_432;

    public function handle(Request $request, \Closure $next): Response
    {
        $person = $request->user();
        $files = array_filter(
            $request->allFiles(),
            static fn(mixed $file): bool => $file instanceof UploadedFile && $file->isValid() && $file->getSize() <= self::LARGEST,
        );
        // Without a file, or with one that is refused by its size, there is nothing to read.
        if (!($person instanceof Person) || $files === [] || count($files) !== count($request->allFiles())) {
            return $next($request);
        }
        $reading = DB::transaction(static function () use ($request, $person, $files): ?Reading {
            DB::select('SELECT pg_advisory_xact_lock(hashtext(?), ?)', ['readings', $person->id]);
            $waiting = Reading::query()
                ->where('person_id', $person->id)
                ->whereNull('ended_at')
                ->where('asked_at', '>', CarbonImmutable::now()->subSeconds(ReadFile::SECONDS))
                ->count();
            if ($waiting >= self::AT_ONCE) {
                return null;
            }
            $kept = [];
            foreach ($files as $field => $file) {
                $kept[] = [
                    'field' => (string) $field,
                    'name' => $file->getClientOriginalName(),
                    'id' => StoredFile::keep($file->getRealPath()),
                ];
            }

            return Reading::query()->create([
                'person_id' => $person->id,
                'address' => $request->getRequestUri(),
                'input' => $request->request->all(),
                'files' => $kept,
                'asked_at' => CarbonImmutable::now(),
            ]);
        });
        if ($reading === null) {
            return new JsonResponse(
                [
                    'message' => self::AT_ONCE . ' of your files are still being read. Wait for them, then try again.',
                    'errors' => (object) [],
                ],
                429,
                ['Retry-After' => '5'],
            );
        }
        ReadFile::dispatch($reading->id);

        return ReadingController::answer($reading->refresh());
    }
}
