<?php

declare(strict_types=1);

namespace Gravik;

/** What somebody typed, word by word. */
final class Words
{
    /** @return list<string> between spaces and commas, empty ones left out */
    public static function of(string $typed): array
    {
        $words = preg_split('/[\s,]+/', trim($typed), -1, PREG_SPLIT_NO_EMPTY);

        return $words === false ? [] : $words;
    }
}
