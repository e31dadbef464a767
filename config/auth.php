<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'people'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'people']],
    'passwords' => [
        'people' => [
            'provider' => 'people',
            'table' => 'password_reset_tokens',
            // Minutes for which a mailed address sets a password, and seconds until another one is mailed.
            'expire' => 60 * (int) env('PASSWORD_LINK_HOURS', 24),
            'throttle' => 60,
        ],
    ],
    'providers' => ['people' => ['driver' => 'active-people', 'model' => App\People\Models\Person::class]],
];
