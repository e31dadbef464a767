<?php

declare(strict_types=1);

return [
    'default' => 'local',
    // Nothing of it is served: what people brought is in the database, behind its rights.
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true]],
];
