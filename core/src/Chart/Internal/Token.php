<?php

declare(strict_types=1);

namespace Gravik\Chart\Internal;

use Gravik\Words;

/**
 * A word of a chord line and the character it stands at.
 *
 * @internal
 */
final readonly class Token
{
    public function __construct(public string $text, public int $at) {}

    public function isBeat(): bool
    {
        return $this->text === '/';
    }

    public function isRepeat(): bool
    {
        return $this->text === '%';
    }

    public function isSilence(): bool
    {
        return in_array(strtoupper($this->text), ['N.C.', 'NC', 'N.C'], true);
    }

    /**
     * @return list<list<self>> the words of each bar; bar lines with nothing between them make no bar
     */
    public static function bars(string $line): array
    {
        $bars = [];
        $words = [];
        foreach (self::words($line) as $word) {
            if ($word->text !== '|') {
                $words[] = $word;
            } elseif ($words !== []) {
                $bars[] = $words;
                $words = [];
            }
        }
        if ($words !== []) {
            $bars[] = $words;
        }

        return $bars;
    }

    /** @return list<self> */
    public static function words(string $line): array
    {
        $words = Words::matching('/\||[^\s|]+/u', $line);

        return array_map(static fn (string $word, int $at): self => new self($word, $at), $words, array_keys($words));
    }
}
