<?php

declare(strict_types=1);

namespace Gravik;

/** Quotes what a person typed inside a message: short, on one line, without control characters. */
final readonly class Quote
{
    private const LONGEST = 40;

    public static function short(string $typed): string
    {
        $valid = mb_scrub($typed, 'UTF-8');
        $clean = trim((string) preg_replace('/[\p{C}\s]+/u', ' ', $valid));

        return mb_strlen($clean) > self::LONGEST ? mb_substr($clean, 0, self::LONGEST).'…' : $clean;
    }
}
