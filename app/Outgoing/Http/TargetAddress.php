<?php

declare(strict_types=1);

namespace App\Outgoing\Http;

use App\Outgoing\Models\TargetKind;
use App\Outgoing\SftpAddress;
use Illuminate\Contracts\Validation\ValidationRule;

/** Where messages go, as it is written for each kind of target. */
final readonly class TargetAddress implements ValidationRule
{
    private const FOLDER = '~^[A-Za-z0-9][A-Za-z0-9_-]{0,60}(/[A-Za-z0-9][A-Za-z0-9_-]{0,60}){0,5}$~D';

    public function __construct(private ?TargetKind $kind) {}

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        $address = is_string($value) ? $value : '';
        $fault = match ($this->kind) {
            TargetKind::Http => self::isWeb($address)
                ? null
                : 'Write the address with http:// or https://, without a name or a password in it.',
            TargetKind::Sftp => preg_match(SftpAddress::PATTERN, $address) === 1
                ? null
                : 'Write host, port and folder: sftp.example:22/incoming.',
            TargetKind::Folder => preg_match(self::FOLDER, $address) === 1
                ? null
                : 'Write folders of letters, digits, - and _, apart by /: weir/changes.',
            null => null,
        };
        if ($fault !== null) {
            $fail($fault);
        }
    }

    private static function isWeb(string $address): bool
    {
        $parts = filter_var($address, FILTER_VALIDATE_URL) === false ? false : parse_url($address);

        return is_array($parts) &&
            in_array(strtolower($parts['scheme'] ?? ''), ['http', 'https'], true) &&
            ($parts['host'] ?? '') !== '' &&
            !isset($parts['user']) &&
            !isset($parts['pass']) &&
            !isset($parts['fragment']);
    }
}
