<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Http;

use Illuminate\Validation\Rule;
use Orthotaxis\Core\Handover\Format;
use Orthotaxis\Core\Handover\Profile;

/** What a profile takes and as what, in a request. */
trait SaysProfile
{
    /** @return array<string, mixed> */
    private static function profileRules(): array
    {
        return [
            'structures' => 'bail|present|array|list|max:10',
            'structures.*' => 'bail|required|string|max:40',
            'plants' => 'bail|present|array|list|max:100',
            'plants.*' => ['bail', 'required', 'string', 'distinct', Rule::exists('choices', 'code')->where('list', 'site')],
            'fields' => 'bail|present|array|list|max:100',
            'fields.*' => 'bail|required|string|max:40',
            'format' => ['bail', 'required', Rule::enum(Format::class)],
            'file_name' => 'bail|present|nullable|string|max:200',
        ];
    }

    /** @return array<string, string> */
    private static function profileMessages(): array
    {
        return [
            'structures.*' => 'Choose what it gets.',
            'structures.*.*' => 'There is no such structure.',
            'plants.*' => 'Give a list of plants.',
            'plants.*.*' => 'There is no such plant.',
            'fields.*' => 'Give a list of fields.',
            'fields.*.*' => 'There is no such field.',
            'format.*' => 'Choose XML, JSON or CSV.',
            'format' => 'Choose XML, JSON or CSV.',
            'file_name.max' => 'At most 80 characters.',
            'file_name.*' => 'Say how its files are called.',
        ];
    }

    /** @throws \Orthotaxis\Core\Refusal at the field that cannot be so */
    private function profile(): Profile
    {
        return Profile::of(
            $this->texts('structures'),
            $this->texts('plants'),
            $this->texts('fields'),
            Format::from($this->string('format')->toString()),
            $this->string('file_name')->toString(),
        );
    }

    /** @return list<string> */
    private function texts(string $name): array
    {
        return array_values(array_filter((array) $this->validated($name), is_string(...)));
    }
}
