<?php

declare(strict_types=1);

return [
    // The zone whose days are meant by "today" and by effective dates (IANA, such as Europe/Berlin); plants may have their own.
    'timezone' => env('ORTHOTAXIS_TIME_ZONE', 'UTC'),
];
