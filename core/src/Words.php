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
        preg_match_all('/[^\s,]+/u', mb_scrub($typed), $found, PREG_OFFSET_CAPTURE);
        $placed = [];
        foreach ($found[0] as [$word, $byte]) {
            $placed[mb_strlen(substr(mb_scrub($typed), 0, $byte))] = $word;
        }

        return $placed;
    }
}
