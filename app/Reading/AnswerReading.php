<?php

declare(strict_types=1);

namespace App\Reading;

use App\Files\StoredFile;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Router;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers a request that was written down, as the person who sent it. All that stands in front of the act (who they are, what
 * they may, whose form it is) was passed when it was sent; only that they are still active is asked again.
 */
final readonly class AnswerReading
{
    public function __construct(private Router $router, private ExceptionHandler $faults) {}

    public function __invoke(Reading $reading): void
    {
        if (!$reading->person->active) {
            $reading->end(401, (string) json_encode(['message' => 'Sign in first.', 'errors' => (object) []]));

            return;
        }
        Auth::setUser($reading->person);
        $answer = $this->withFiles($reading, $reading->files, []);
        $reading->end($answer->getStatusCode(), (string) $answer->getContent());
    }

    /**
     * @param  list<array{field: string, name: string, id: string}>  $left
     * @param  array<string, UploadedFile>  $ready
     */
    private function withFiles(Reading $reading, array $left, array $ready): Response
    {
        $file = array_shift($left);
        if ($file === null) {
            return $this->answer($reading, $ready);
        }

        return StoredFile::with(
            $file['id'],
            fn(string $path): Response => $this->withFiles(
                $reading,
                $left,
                $ready + [$file['field'] => new UploadedFile($path, $file['name'], null, null, true)],
            ),
        );
    }

    /** @param  array<string, UploadedFile>  $files */
    private function answer(Reading $reading, array $files): Response
    {
        $request = Request::create($reading->address, 'POST', $reading->input, [], $files, ['HTTP_ACCEPT' => 'application/json']);
        $request->setUserResolver(static fn() => $reading->person);
        $outer = app('request');
        app()->instance('request', $request);
        app()->instance('middleware.disable', true);
        try {
            return $this->router->dispatch($request);
        } catch (\Throwable $fault) {
            $this->faults->report($fault);

            return $this->faults->render($request, $fault);
        } finally {
            app()->forgetInstance('middleware.disable');
            app()->instance('request', $outer);
        }
    }
}
