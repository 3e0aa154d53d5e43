<?php

declare(strict_types=1);

namespace Gravik\Chart\Internal;

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
        preg_match_all('/\||[^\s|]+/u', $line, $found, PREG_OFFSET_CAPTURE);

        return array_map(
            static fn (array $word): self => new self($word[0], mb_strlen(substr($line, 0, $word[1]))),
            $found[0],
        );
    }
}
