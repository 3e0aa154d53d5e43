<?php

declare(strict_types=1);

return [
    'driver' => 'bcrypt',
    // 10: about 60 ms here, so that a sign-in stays within Laravel's time box of 200 ms whoever asks.
    'bcrypt' => ['rounds' => env('BCRYPT_ROUNDS', 10), 'verify' => true],
];
