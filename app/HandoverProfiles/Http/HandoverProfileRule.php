<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Http;

use App\HandoverProfiles\Models\Moment;
use App\HandoverProfiles\WantedProfile;
use App\Outgoing\Http\TargetAddress;
use App\Outgoing\Models\TargetKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Profile;

#[
    OA\Schema(
        required: ['name', 'target', 'address', 'moments', 'structures', 'plants', 'fields', 'format', 'file_name', 'retired'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'target', type: 'string', enum: ['http', 'sftp', 'folder']),
            new OA\Property(property: 'address', type: 'string', description: 'an address; host:port/folder; folders apart by /'),
            new OA\Property(property: 'login', type: 'string', nullable: true, description: 'of SFTP'),
            new OA\Property(property: 'secret', type: 'string', nullable: true, description: 'a token, a password or a private key'),
            new OA\Property(
                property: 'keep_secret',
                type: 'boolean',
                nullable: true,
                description: 'without a secret: whether the one that is set stays',
            ),
            new OA\Property(property: 'host_key', type: 'string', nullable: true, description: 'of SFTP: SHA256:…'),
            new OA\Property(
                property: 'moments',
                type: 'array',
                items: new OA\Items(type: 'string', enum: ['released', 'taken', 'documents', 'corrected']),
            ),
            new OA\Property(property: 'structures', type: 'array', items: new OA\Items(type: 'string', enum: Profile::STRUCTURES)),
            new OA\Property(property: 'plants', type: 'array', items: new OA\Items(type: 'string'), description: 'none: all'),
            new OA\Property(
                property: 'fields',
                type: 'array',
                items: new OA\Items(type: 'string', enum: Document::FIELDS),
                description: 'none: all',
            ),
            new OA\Property(property: 'format', type: 'string', enum: ['xml', 'json', 'csv']),
            new OA\Property(property: 'file_name', type: 'string'),
            new OA\Property(property: 'retired', type: 'boolean'),
            new OA\Property(property: 'version', description: 'that was on screen; none: it is new', type: 'integer', nullable: true),
        ],
    ),
]
final class HandoverProfileRule extends FormRequest
{
    use SaysProfile;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $target = TargetKind::tryFrom($this->string('target')->toString());

        return [
            'name' => 'bail|required|string|max:80',
            'target' => ['bail', 'required', Rule::enum(TargetKind::class)],
            'address' => ['bail', 'required', 'string', 'max:500', new TargetAddress($target)],
            'login' => ['bail', Rule::requiredIf($target === TargetKind::Sftp), 'nullable', 'string', 'max:80', 'regex:/^[^\s:]+$/D'],
            // Printable, or the lines of a key: it goes into a header.
            'secret' => ['bail', 'nullable', 'string', 'max:10000', 'regex:/^([\x21-\x7e]*|-----BEGIN [\x20-\x7e\r\n]+)$/D'],
            'keep_secret' => 'nullable|boolean',
            'host_key' => [
                'bail',
                Rule::requiredIf($target === TargetKind::Sftp),
                'nullable',
                'string',
                'regex:~^SHA256:[A-Za-z0-9+/]{43}$~D',
            ],
            'moments' => 'bail|required|array|list|max:10',
            'moments.*' => ['bail', 'required', 'distinct', Rule::enum(Moment::class)],
            ...self::profileRules(),
            'retired' => 'required|boolean',
            'version' => 'nullable|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.',
            'name.max' => 'At most 80 characters.',
            'target.*' => 'Choose HTTP, SFTP or a folder.',
            'address.required' => 'Say where its files go.',
            'address.max' => 'At most 500 characters.',
            'login.*' => 'Give the name by which we sign in there, without blanks.',
            'secret.max' => 'At most 10,000 characters.',
            'secret.*' => 'A token or a password without blanks, or a private key in PEM.',
            'host_key.*' => 'Give the fingerprint of the host, as ssh-keygen -l tells it: SHA256: and 43 characters.',
            'moments.required' => 'Choose when files are written.',
            'moments.*' => 'Choose when files are written.',
            'moments.*.*' => 'There is no such moment.',
            ...self::profileMessages(),
        ];
    }

    public function wanted(): WantedProfile
    {
        return new WantedProfile(
            name: $this->string('name')->trim()->toString(),
            target: TargetKind::from($this->string('target')->toString()),
            address: $this->string('address')->toString(),
            login: $this->string('login')->toString(),
            secret: $this->secret(),
            hostKey: $this->string('host_key')->toString(),
            moments: $this->texts('moments'),
            profile: $this->profile(),
            retired: $this->boolean('retired'),
        );
    }

    /** Null: as it is; empty: none. */
    private function secret(): ?string
    {
        $secret = $this->validated('secret');

        return is_string($secret) ? $secret : ($this->boolean('keep_secret', true) ? null : '');
    }
}
