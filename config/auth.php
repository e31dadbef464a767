<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'people'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'people']],
    'providers' => ['people' => ['driver' => 'active-people', 'model' => App\People\Models\Person::class]],
];
