<?php

declare(strict_types=1);

namespace App\Outgoing\Carriers;

use App\Outgoing\Models\Channel;
use App\Outgoing\SftpAddress;
use League\Flysystem\PhpseclibV3\ConnectionProvider;
use phpseclib3\Crypt\Common\PrivateKey;
use phpseclib3\Crypt\PublicKeyLoader;
use phpseclib3\Net\SFTP;

/** Signs in to another machine, after that has shown that it is the one that is meant. */
final readonly class SftpConnection implements ConnectionProvider
{
    public function __construct(private Channel $channel, private SftpAddress $at) {}

    /** @throws NotCarried */
    public function provideConnection(): SFTP
    {
        $sftp = new SFTP($this->at->host, $this->at->port, (int) ceil(config()->float('outgoing.answer_seconds')));
        try {
            $key = $sftp->getServerPublicHostKey();
        } catch (\Throwable $fault) {
            throw new NotCarried('It does not answer.', from: $fault);
        }
        if (!is_string($key) || !hash_equals($this->channel->host_key, self::fingerprint($key))) {
            throw new NotCarried('The host has another key than the one that is set.');
        }
        try {
            $isIn = $sftp->login($this->channel->login, $this->credential());
        } catch (NotCarried $fault) {
            throw $fault;
        } catch (\Throwable $fault) {
            throw new NotCarried('It does not answer.', from: $fault);
        }

        return $isIn ? $sftp : throw new NotCarried('The host does not let us in: name, password or key.');
    }

    /** @param  string  $key  as in known_hosts: "ssh-ed25519 AAAA…" */
    private static function fingerprint(string $key): string
    {
        return 'SHA256:' . rtrim(base64_encode(hash('sha256', (string) base64_decode(explode(' ', $key)[1] ?? ''), true)), '=');
    }

    private function credential(): PrivateKey|string
    {
        $secret = (string) $this->channel->secret;
        if (!str_starts_with($secret, '-----BEGIN')) {
            return $secret;
        }
        try {
            $key = PublicKeyLoader::load($secret);
        } catch (\Throwable $fault) {
            throw new NotCarried('The private key cannot be read.', from: $fault);
        }

        return $key instanceof PrivateKey ? $key : throw new NotCarried('The key that is set is not a private one.');
    }
}
