<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\LineTooLong;
use Gravik\Chart\Failure\SectionNotSplittable;
use Gravik\Chart\Internal\Token;
use Gravik\Harmony\ChordNotUnderstood;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Harmony\Numeral;
use Gravik\Time\Meter;

/**
 * Reads a chord line: bars between |, several chords a bar, % repeats a bar, / is one more beat of the chord before it,
 * letters or numerals, N.C. for silence. Chords without slashes share the bar's beats evenly, the first ones taking
 * what is left over (three in 4/4: two beats, one, one).
 */
final readonly class ChartLine
{
    public const LONGEST = 4000;

    public function __construct(private Key $key, private Meter $meter) {}

    /** @throws ChartException when the line is too long to be looked at */
    public function read(string $line): ChartReading
    {
        if (mb_strlen($line) > self::LONGEST) {
            throw new LineTooLong(mb_strlen($line), self::LONGEST);
        }
        $bars = [];
        $problems = [];
        foreach (Token::bars(mb_scrub($line)) as $words) {
            $number = count($bars);
            [$bar, $found] = $this->bar($words, $number, $bars[$number - 1] ?? null);
            $bars[] = $bar;
            $problems = [...$problems, ...$found];
        }

        return new ChartReading($bars, $problems);
    }

    /** A single symbol, letter or numeral. */
    public function chord(string $typed): ChordSymbol
    {
        return Numeral::looksLikeOne($typed) ? Numeral::in($this->key)->chord($typed) : ChordSymbol::parse($typed);
    }

    /**
     * The same line in another key: letters move, numerals, words and spaces stay as they are.
     */
    public function carriedTo(Key $to, string $line): string
    {
        $carried = '';
        $from = 0;
        foreach (Token::words($line) as $word) {
            $carried .= mb_substr($line, $from, $word->at - $from).$this->carriedWord($to, $word);
            $from = $word->at + mb_strlen($word->text);
        }

        return $carried.mb_substr($line, $from);
    }

    /**
     * The line in two: its bars before one, and from it on. A repeat sign that stands first in the second part is written out.
     *
     * @param int $bar from 1 to the last, counted from 0
     *
     * @return array{string, string}
     *
     * @throws ChartException where the line has no such bar to begin anew with
     */
    public function splitAt(string $line, int $bar): array
    {
        $bars = Token::bars($line);
        if ($bar < 1 || $bar >= count($bars)) {
            throw new SectionNotSplittable($bar, count($bars));
        }
        $at = $bars[$bar][0]->at;
        $second = mb_substr($line, $at);
        if (count($bars[$bar]) === 1 && $bars[$bar][0]->isRepeat()) {
            $written = $bar;
            while ($written > 0 && count($bars[$written]) === 1 && $bars[$written][0]->isRepeat()) {
                $written--;
            }
            $second = implode(' ', array_map(static fn (Token $word): string => $word->text, $bars[$written])).mb_substr($second, 1);
        }

        return [rtrim(mb_substr($line, 0, $at)), '| '.$second];
    }

    private function carriedWord(Key $to, Token $word): string
    {
        if ($word->isBeat() || $word->isRepeat() || $word->isSilence() || Numeral::looksLikeOne($word->text)) {
            return $word->text;
        }

        try {
            return $this->key->carryChord(ChordSymbol::parse($word->text), $to)->text();
        } catch (ChordNotUnderstood) {
            return $word->text;
        }
    }

    /**
     * @param list<Token> $words
     *
     * @return array{Bar, list<ChartProblem>}
     */
    private function bar(array $words, int $number, ?Bar $before): array
    {
        $silent = new Bar([new ChordAt(0, $this->meter->barTicks(), null, '')]);
        if (count($words) === 1 && $words[0]->isRepeat()) {
            return $before === null
                ? [
                    $silent,
                    [new ChartProblem($words[0]->at, 1, $number, 'The first bar has nothing before it to repeat with %. Write its chord.')],
                ]
                : [new Bar($before->chords, true), []];
        }
        $problems = [];
        foreach ($words as $place => $word) {
            if ($word->isRepeat()) {
                $problems[] = new ChartProblem(
                    $word->at,
                    1,
                    $number,
                    sprintf('Bar %d mixes %% with chords. A bar is either repeated with %% alone or written out.', $number + 1),
                );
            } elseif ($word->isBeat() && $place === 0) {
                $problems[] = new ChartProblem(
                    $word->at,
                    1,
                    $number,
                    sprintf('Bar %d starts with /, which lengthens the chord before it. Write the chord first.', $number + 1),
                );
            }
        }
        $beats = $this->beats($words);
        if ($beats === null) {
            $last = $words[count($words) - 1];
            $problems[] = new ChartProblem($words[0]->at, $last->at + mb_strlen($last->text) - $words[0]->at, $number, sprintf(
                'Bar %d does not add up: %d %s for the %d beats of %s.', $number + 1, count($words), count($words) === 1
                    ? 'place'
                    : 'places', $this->meter->beats(), $this->meter->text(),
            ));
        }
        if ($problems !== [] || $beats === null) {
            return [$silent, $problems];
        }
        $chords = [];
        $at = 0;
        foreach ($words as $place => $word) {
            if ($word->isBeat()) {
                continue;
            }
            $ticks = $beats[$place] * $this->meter->beatTicks();
            [$chord, $problem] = $this->symbol($word, $number);
            $chords[] = new ChordAt($at, $ticks, $chord, $word->text);
            $problems = $problem === null ? $problems : [...$problems, $problem];
            $at += $ticks;
        }

        return [new Bar($chords === [] ? $silent->chords : $chords), $problems];
    }

    /**
     * Beats of each word (0 for a slash, whose beat its chord has taken); null where the bar does not add up.
     *
     * @param list<Token> $words
     *
     * @return ?list<int>
     */
    private function beats(array $words): ?array
    {
        $places = count($words);
        $inBar = $this->meter->beats();
        $slashed = array_filter($words, static fn (Token $word): bool => $word->isBeat()) !== [];
        if ($places > $inBar || ($slashed && $places !== $inBar)) {
            return null;
        }
        if (! $slashed) {
            return array_map(
                static fn (int $place): int => intdiv($inBar, $places) + ($place < $inBar % $places ? 1 : 0),
                range(0, $places - 1),
            );
        }
        $beats = array_fill(0, $places, 0);
        $holder = 0;
        foreach ($words as $place => $word) {
            $holder = $word->isBeat() ? $holder : $place;
            $beats[$holder]++;
        }

        return array_values($beats);
    }

    /** @return array{?ChordSymbol, ?ChartProblem} */
    private function symbol(Token $word, int $bar): array
    {
        if ($word->isSilence()) {
            return [null, null];
        }

        try {
            return [$this->chord($word->text), null];
        } catch (ChordNotUnderstood $problem) {
            $from = min($problem->at, mb_strlen($word->text) - 1);

            return [
                null,
                new ChartProblem(
                    $word->at + $from,
                    mb_strlen($word->text) - $from,
                    $bar,
                    sprintf('Bar %d: %s', $bar + 1, $problem->getMessage()),
                    $problem->nearest,
                ),
            ];
        }
    }
}
