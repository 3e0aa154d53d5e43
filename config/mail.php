<?php

declare(strict_types=1);

// No mail server is needed: links are shown to be passed on. Where MAIL_MAILER is set (smtp, sendmail, log) they can be sent too.
return [
    'default' => env('MAIL_MAILER'),
    'mailers' => [
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME'),
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => (int) env('MAIL_PORT', 25),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 10,
        ],
        'sendmail' => ['transport' => 'sendmail', 'path' => env('MAIL_SENDMAIL_PATH', '/usr/sbin/sendmail -bs -i')],
        'log' => ['transport' => 'log'],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'gravik@localhost'), 'name' => env('MAIL_FROM_NAME', 'Gravik')],
];
