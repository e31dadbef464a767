<?php

declare(strict_types=1);

namespace App\Outgoing\Carriers;

use App\Outgoing\Models\Channel;
use League\Flysystem\Filesystem;
use League\Flysystem\Local\LocalFilesystemAdapter;

/** Into a folder below the one that the installation sets aside for it; never anywhere else on the machine. */
final readonly class FolderCarrier extends FileCarrier
{
    protected function folder(Channel $channel): Filesystem
    {
        // Its path was held to letters, digits and single folders when it was set; the adapter refuses to leave its root.
        return new Filesystem(new LocalFilesystemAdapter(config()->string('outgoing.folder') . '/' . $channel->address));
    }
}
