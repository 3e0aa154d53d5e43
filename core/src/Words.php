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

    /** @return array<int, string> the same words, each at the character it begins with */
    public static function placed(string $typed): array
    {
        return self::matching('/[^\s,]+/u', $typed);
    }

    /** @return array<int, string> what matches a pattern, each at the character it begins with */
    public static function matching(string $pattern, string $typed): array
    {
        $clean = mb_scrub($typed);
        preg_match_all($pattern, $clean, $found, PREG_OFFSET_CAPTURE);
        $placed = [];
        foreach ($found[0] as [$word, $byte]) {
            $placed[mb_strlen(substr($clean, 0, $byte))] = $word;
        }

        return $placed;
    }
}
