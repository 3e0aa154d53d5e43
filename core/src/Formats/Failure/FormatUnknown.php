<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DocumentNotReadable;

final class FormatUnknown extends DocumentNotReadable
{
    public function __construct()
    {
        parent::__construct(
            'This file is not a breakdown: its "format" is not "gravik-breakdown". Choose a file that Gravik exported (.gravik.json).',
            '/format',
        );
    }
}
