<?php

declare(strict_types=1);

namespace App\Outgoing\Carriers;

use App\Outgoing\Models\TargetKind;

/** Who carries what to where. */
final readonly class Carriers
{
    public function __construct(private HttpCarrier $http, private SftpCarrier $sftp, private FolderCarrier $folder) {}

    public function to(TargetKind $target): Carrier
    {
        return match ($target) {
            TargetKind::Http => $this->http,
            TargetKind::Sftp => $this->sftp,
            TargetKind::Folder => $this->folder,
        };
    }
}
