<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DocumentNotReadable;

final class NotJson extends DocumentNotReadable
{
    public function __construct()
    {
        parent::__construct('This file is not a breakdown: it does not hold JSON. Choose a file that Gravik exported (.gravik.json).', '');
    }
}
