<?php

declare(strict_types=1);

namespace App\Documents;

use Gravik\CoreException;

final class NoPrinter extends CoreException
{
    public static function notInstalled(): self
    {
        return new self(
            'A PDF is printed by Chromium, and there is none here. Install it (apt-get install chromium), or print the page from your browser.',
        );
    }

    public static function didNotPrint(): self
    {
        return new self('Chromium did not print the page. Try again, or print it from your browser.');
    }
}
