<?php

declare(strict_types=1);

namespace Gravik\Harmony\Internal;

use Gravik\Harmony\Degree;
use Gravik\Harmony\Failure\ChordContradiction;
use Gravik\Harmony\Failure\ChordEndingUnknown;

/**
 * Reads what follows the root, token by token, into an Ending.
 *
 * @internal used by SymbolReader and Numeral
 */
final class EndingReader
{
    /** Pattern => what it sets; tried in order at the reading place. Case matters: M is major, m is minor. */
    private const QUALITIES = [
        '(?:[Mm]aj|ma(?!dd)|M)' => 'major',
        '[Δ△](?=7|9|11|13)' => 'major',
        '[Δ△]' => 'major7',
        '(?:min|mi|m|[-−](?!5))' => 'minor',
        '(?:dim|°|o)7' => 'diminished7',
        '(?:dim|°|o)' => 'diminished',
        'ø7?' => 'half-diminished',
        '(?:aug|\+)' => 'augmented',
    ];

    private const MAJOR_SEVENTH_ON_MINOR = '\s*\(?(?:[Mm]aj|ma(?!dd)|M|Δ|△)(?:13|11|9|7)?\)?';

    private Ending $ending;

    private int $at;

    public function __construct(private readonly string $symbol, private readonly int $startsAt)
    {
        $this->ending = new Ending();
        $this->at = $startsAt;
    }

    public function read(string $text): Ending
    {
        $this->at = $this->startsAt;
        $text = $this->quality($text);
        $text = $this->number($text);
        while ($text !== '') {
            $text = $this->modifier($text);
        }
        $why = $this->ending->contradiction();
        if ($why !== null) {
            throw new ChordContradiction($this->symbol, $this->startsAt, $why, (new Nearest())->to($this->symbol));
        }

        return $this->ending;
    }

    private function quality(string $text): string
    {
        foreach (self::QUALITIES as $pattern => $quality) {
            $found = $this->take($pattern, $text);
            if ($found === null) {
                continue;
            }
            $this->ending->quality($quality);
            $seventh = $quality === 'minor' ? $this->take(self::MAJOR_SEVENTH_ON_MINOR, $found[1]) : null;
            if ($seventh !== null) {
                $top = (int) preg_replace('/\D/', '', $seventh[0]);
                $this->ending->majorSeventh(max(7, $top));
            }

            return ($seventh ?? $found)[1];
        }

        return $text;
    }

    private function number(string $text): string
    {
        $found = $this->take('(?:6\/9|69|13|11|9|7|6|5)', $text);
        if ($found === null) {
            return $text;
        }
        $this->ending->number($found[0] === '69' ? '6/9' : $found[0]);

        return $found[1];
    }

    private function modifier(string $text): string
    {
        $found = $this->take('[(),\s]+', $text);
        if ($found !== null) {
            return $found[1];
        }
        if (($found = $this->take('(?:sus2|sus4|sus)', $text)) !== null) {
            $this->ending->suspend($found[0] === 'sus2' ? 2 : 4);
        } elseif (($found = $this->take('add(?:[b♭#♯]?)(?:13|11|9|6|4|2)', $text)) !== null) {
            $this->ending->add(self::degree(substr($found[0], 3)));
        } elseif (($found = $this->take('(?:alt)', $text)) !== null) {
            $this->ending->alter();
        } elseif (($found = $this->take('(?:no|omit)(?:3|5)', $text)) !== null) {
            $this->ending->leaveOut((int) substr($found[0], -1));
        } elseif (($found = $this->take('(?:[Mm]aj|M)7', $text)) !== null) {
            $this->ending->majorSeventh(7);
        } elseif (($found = $this->take('[b♭#♯+\-−](?:13|11|9|5)', $text)) !== null) {
            $this->ending->alteration(self::degree($found[0]));
        } elseif (($found = $this->take('(?:aug|\+)', $text)) !== null) {
            $this->ending->quality('augmented');
        } else {
            throw new ChordEndingUnknown($this->symbol, $this->at, (new Nearest())->to($this->symbol));
        }

        return $found[1];
    }

    private static function degree(string $text): Degree
    {
        preg_match('/^(\D*)(\d+)$/u', $text, $found);
        $number = (int) ($found[2] ?? 1);
        $alter = match ($found[1] ?? '') {
            'b', '♭', '-', '−' => -1,
            '#', '♯', '+' => 1,
            default => 0,
        };

        return new Degree(match ($number) {
            2 => 9, 4 => 11, default => $number
        }, $alter);
    }

    /** @return array{string, string}|null what was taken and what is left */
    private function take(string $pattern, string $text): ?array
    {
        if (preg_match('/^'.$pattern.'/u', $text, $found) !== 1 || $found[0] === '') {
            return null;
        }
        $this->at += mb_strlen($found[0]);

        return [$found[0], substr($text, strlen($found[0]))];
    }
}
