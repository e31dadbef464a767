<?php

declare(strict_types=1);

namespace App\Audit\Http;

use App\Audit\LedgerSearch;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;

/** Which records of the ledger are asked for. */
final class LedgerQuestion extends FormRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'about' => 'nullable|bail|string|max:80',
            'actor' => 'nullable|bail|string|max:60',
            'act' => ['nullable', 'bail', 'string', 'max:60', 'regex:/^[a-z_]+\.[a-z_]*$/D'],
            'since' => 'nullable|bail|string|date_format:Y-m-d',
            'until' => 'nullable|bail|string|date_format:Y-m-d|after_or_equal:since',
            'words' => 'nullable|bail|string|max:200',
            'from' => ['nullable', 'bail', 'string', 'regex:/^\d{1,15}$/D'],
        ];
    }

    public function search(): LedgerSearch
    {
        $day = fn(string $name): ?Day => $this->filled($name) ? Day::parse($this->string($name)->toString(), $name) : null;

        return new LedgerSearch(
            about: trim($this->string('about')->toString()),
            actor: $this->string('actor')->toString(),
            act: $this->string('act')->toString(),
            since: $day('since'),
            until: $day('until'),
            words: Str::of($this->string('words')->toString())
                ->split('/\s+/', flags: PREG_SPLIT_NO_EMPTY)
                ->take(8)
                ->map(strval(...))
                ->values()
                ->all(),
        );
    }
}
