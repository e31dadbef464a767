<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Text\Readable;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Stands in front of everything: what cannot be kept or read as it was sent is refused here, with its field, and no rule behind
 * it has to think of it. Addresses, queries, bodies and the names of files are looked at; the content of files is their readers'.
 */
final readonly class RefuseUnreadable
{
    private const DEEPEST = 16;

    /** The one field that takes several files. */
    private const SEVERAL = 'files';

    public function handle(Request $request, \Closure $next): Response
    {
        if (Readable::fault(rawurldecode($request->getPathInfo())) !== null) {
            throw new NotFoundHttpException();
        }
        foreach ($request->query->all() as $name => $value) {
            // What is asked for is one text each; a list of them is written with commas.
            if (is_array($value)) {
                throw Refusal::at((string) $name, 'Say this once, as text.');
            }
            $this->look((string) $name, $value);
        }
        foreach ($request->isJson() ? $this->json($request) : $request->request->all() as $name => $value) {
            $this->look((string) $name, $value);
        }
        foreach ($request->allFiles() as $name => $file) {
            if ($name === self::SEVERAL && is_array($file) && array_is_list($file)) {
                foreach ($file as $at => $one) {
                    $this->lookAtFile("{$name}.{$at}", $one);
                }
            } else {
                $this->lookAtFile((string) $name, $file);
            }
        }

        return $next($request);
    }

    /** @return array<array-key, mixed> */
    private function json(Request $request): array
    {
        $content = $request->getContent();
        if (trim($content) === '') {
            return [];
        }
        try {
            $said = json_decode($content, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw Refusal::at('body', 'This is no JSON, or is nested deeper than anything asked for here.');
        }

        return is_array($said) ? $said : throw Refusal::at('body', 'Send an object with the fields asked for.');
    }

    private function look(string $place, mixed $value, int $depth = 0): void
    {
        if (is_array($value)) {
            foreach ($value as $name => $inner) {
                $fault = Readable::fault((string) $name);
                $fault === null || throw Refusal::at($place, $fault);
                $depth < self::DEEPEST
                    ? $this->look("{$place}.{$name}", $inner, $depth + 1)
                    : throw Refusal::at($place, 'This is nested too deep.');
            }
        } elseif (is_float($value) && !is_finite($value)) {
            throw Refusal::at($place, 'This number is too large.');
        } elseif (is_string($value)) {
            $fault = Readable::fault($value);
            $fault === null || throw Refusal::at(Readable::fault($place) === null ? $place : 'query', $fault);
        }
    }

    private function lookAtFile(string $place, mixed $file): void
    {
        if (!($file instanceof UploadedFile)) {
            throw Refusal::at($place, 'Choose one file.');
        }
        $name = $file->getClientOriginalName();
        if (Readable::fault($name) !== null || preg_match('/^\.*$|[\/\\\\]/D', $name) === 1) {
            throw Refusal::at($place, 'The name of the file has characters that cannot be kept. Rename it and choose it again.');
        }
    }
}
