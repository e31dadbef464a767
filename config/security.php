<?php

declare(strict_types=1);

return [
    // Characters that a password has at least.
    'password_length' => (int) env('PASSWORD_LENGTH', 12),

    // The proxies whose word is taken for where a request came from and whether it was encrypted: addresses or networks, parted
    // by commas. Nobody's by default.
    'trusted_proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('TRUSTED_PROXIES', ''))))),

    // The provider by which people sign in (OpenID Connect); no issuer: there is none.
    'oidc' => [
        'issuer' => (string) env('OIDC_ISSUER', ''),
        'client_id' => (string) env('OIDC_CLIENT_ID', ''),
        'client_secret' => (string) env('OIDC_CLIENT_SECRET', ''),
        // What the button calls it.
        'name' => (string) env('OIDC_NAME', 'your company account'),
    ],

    // For how long a browser that came encrypted comes so by itself (HSTS, RFC 6797), in seconds; 0: not told.
    'hsts_seconds' => (int) env('HSTS_SECONDS', 31_536_000),
];
