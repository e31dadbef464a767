<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

/** An SFTP host on a free port, Debian's own, which lets one key in. */
final class SftpHost
{
    /** @param  resource  $process */
    private function __construct(
        public readonly int $port,
        public readonly string $folder,
        public readonly string $login,
        public readonly string $privateKey,
        public readonly string $fingerprint,
        private $process,
    ) {}

    public static function start(): self
    {
        $folder = sys_get_temp_dir() . '/orthotaxis-sftp-' . bin2hex(random_bytes(6));
        mkdir("{$folder}/incoming", 0o700, true);
        foreach (['host', 'client'] as $key) {
            exec('ssh-keygen -q -t ed25519 -N "" -f ' . escapeshellarg("{$folder}/{$key}"));
        }
        copy("{$folder}/client.pub", "{$folder}/authorized");
        // Where sshd puts its own, when it runs as root.
        @mkdir('/run/sshd', 0o755, true);
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No free port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $settings = [
            'ListenAddress=127.0.0.1',
            "Port={$port}",
            "HostKey={$folder}/host",
            "AuthorizedKeysFile={$folder}/authorized",
            'PermitRootLogin=prohibit-password',
            'PasswordAuthentication=no',
            'KbdInteractiveAuthentication=no',
            'StrictModes=no',
            'UsePAM=no',
            'Subsystem=sftp internal-sftp',
        ];
        $quiet = ['file', '/dev/null', 'w'];
        $command = [
            '/usr/sbin/sshd',
            '-D',
            '-f',
            '/dev/null',
            ...array_merge(...array_map(static fn(string $one): array => ['-o', $one], $settings)),
        ];
        $process =
            proc_open($command, [['file', '/dev/null', 'r'], $quiet, $quiet], $pipes) ?:
            throw new \RuntimeException('sshd does not start.');
        for ($try = 0; $try < 100 && ($open = @fsockopen('127.0.0.1', $port, timeout: 1)) === false; $try++) {
            usleep(50_000);
        }
        ($open ?? false) !== false || throw new \RuntimeException('sshd does not answer.');
        fclose($open);
        [, $fingerprint] = explode(' ', (string) shell_exec('ssh-keygen -l -f ' . escapeshellarg("{$folder}/host.pub")));
        $user = posix_getpwuid(posix_geteuid());

        return new self(
            port: $port,
            folder: "{$folder}/incoming",
            login: is_array($user) ? $user['name'] : 'root',
            privateKey: (string) file_get_contents("{$folder}/client"),
            fingerprint: $fingerprint,
            process: $process,
        );
    }

    public function address(): string
    {
        return "127.0.0.1:{$this->port}{$this->folder}";
    }

    public function stop(): void
    {
        proc_terminate($this->process);
        proc_close($this->process);
    }
}
