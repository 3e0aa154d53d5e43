<?php

declare(strict_types=1);

return [
    'name' => 'Gravik',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8080'),
    // Addresses of proxies whose word on the visitor's address and on https is believed, separated by commas; none unless set.
    'trusted_proxies' => array_values(array_filter(explode(',', (string) env('TRUSTED_PROXIES', '')))),
    'timezone' => 'UTC',
    'locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
];
