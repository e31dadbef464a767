<?php

declare(strict_types=1);

namespace App\Outgoing;

/** Where files go over SFTP: "sftp.weir.example:22/incoming/changes". */
final readonly class SftpAddress
{
    public const PATTERN = '~^(?<host>[A-Za-z0-9][A-Za-z0-9.-]{0,200})(?::(?<port>\d{1,5}))?/(?<folder>[A-Za-z0-9._/-]{0,200})$~D';

    private function __construct(public string $host, public int $port, public string $folder) {}

    /** @param  string  $address  as PATTERN has it */
    public static function of(string $address): self
    {
        preg_match(self::PATTERN, $address, $read) === 1 || throw new \LogicException("No address of SFTP: {$address}");

        return new self($read['host'], $read['port'] === '' ? 22 : (int) $read['port'], '/' . $read['folder']);
    }
}
