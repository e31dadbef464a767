<?php

declare(strict_types=1);

namespace App\Outgoing\Carriers;

use App\Outgoing\Models\Channel;
use App\Outgoing\SftpAddress;
use League\Flysystem\Filesystem;
use League\Flysystem\PhpseclibV3\SftpAdapter;

/** Into a folder of another machine, over SFTP. */
final readonly class SftpCarrier extends FileCarrier
{
    protected function folder(Channel $channel): Filesystem
    {
        $at = SftpAddress::of($channel->address);

        return new Filesystem(new SftpAdapter(new SftpConnection($channel, $at), $at->folder));
    }
}
