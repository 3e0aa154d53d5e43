<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Listening\Chords\Internal\Candidate;
use Gravik\Listening\Chords\Internal\Evidence;
use Gravik\Listening\Chords\Internal\KeyFit;
use Gravik\Listening\Chords\Internal\KeyReader;
use Gravik\Listening\Chords\Internal\LikeliestWay;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Neck\Company;

/**
 * Tells the chords of a recording: for every stretch how well each chord goes with the notes that sounded and with the key, and
 * then the likeliest way through all of them (Viterbi's algorithm), so that a doubtful bar is read by its neighbours.
 */
final readonly class ChordReader
{
    /** What a root a fifth below the one before counts, and the same chord again, nepers (h). */
    private const FALLS_A_FIFTH = 1.0;

    private const STAYS = 0.3;

    /** A chord that changes within its bar. */
    private const CHANGES_INSIDE = -2.0;

    /** Scores count so much more as chances, so that of what is told as certain by nine in ten nine in ten are right. */
    private const SHARPNESS = 1.4;

    /** Candidates that are told beside the chosen one. */
    private const OTHERS = 3;

    /** @var list<Candidate> */
    private array $candidates;

    public function __construct()
    {
        $this->candidates = Candidate::all();
    }

    /**
     * @param list<list<list<array{float, float}>>> $bars the stretches of each bar, and the seconds of each: from and until,
     *                                                    several times over where the bar comes several times
     * @param Company $company with a bass player the root may be left to them
     * @param ?Key    $key     where it is known
     */
    public function read(NotesHeard $notes, array $bars, Company $company, ?Key $key = null): ChordsHeard
    {
        $stretches = [];
        $heard = [];
        foreach ($bars as $bar => $parts) {
            foreach ($parts as $part => $spans) {
                $stretches[] = ['bar' => $bar, 'part' => $part, 'spans' => $spans];
                $heard[] = $notes->over($spans);
            }
        }
        $evidence = array_map(
            fn (array $levels): array => Evidence::of($levels, $this->candidates, $company !== Company::Alone),
            $heard,
        );
        $home = $key ?? KeyReader::read($this->way($evidence, $stretches), $this->candidates);
        $fits = array_map(static fn (Candidate $chord): float => KeyFit::of($chord, $home), $this->candidates);
        $scores = array_map(
            static fn (array $says): array => array_map(static fn (float $one, float $fit): float => $one + $fit, $says, $fits),
            $evidence,
        );
        $chords = [];
        foreach ($this->way($scores, $stretches) as $place => $chosen) {
            [$chance, $others] = $this->doubts($scores[$place], $chosen, $home);
            $chords[] = new HeardChord(
                $stretches[$place]['bar'],
                $stretches[$place]['spans'],
                $this->candidates[$chosen]->symbol($home),
                $chance,
                $others,
                Evidence::bass($heard[$place]),
                $stretches[$place]['part'],
            );
        }

        $joined = array_map(
            static fn (HeardChord $chord): HeardChord => $chord->over(
                Evidence::bass($notes->over($chord->spans)),
                $company === Company::Alone,
            ),
            self::joined($chords),
        );

        return new ChordsHeard($joined, $home, $key !== null);
    }

    /**
     * @param list<list<float>>                                         $scores    of each stretch, one a candidate
     * @param list<array{bar: int, part: int, spans: list<array{float, float}>}> $stretches
     *
     * @return list<int> a candidate for each stretch
     */
    private function way(array $scores, array $stretches): array
    {
        return LikeliestWay::through($scores, fn (int $from, int $to, int $place): float => $this->step(
            $from,
            $to,
            $stretches[$place - 1]['bar'] === $stretches[$place]['bar'],
        ));
    }

    private function step(int $from, int $to, bool $inside): float
    {
        if ($from === $to) {
            return self::STAYS;
        }
        $falls = ($this->candidates[$to]->root - $this->candidates[$from]->root + 12) % 12 === 5;

        return ($falls ? self::FALLS_A_FIFTH : 0.0) + ($inside ? self::CHANGES_INSIDE : 0.0);
    }

    /**
     * @param list<float> $scores
     *
     * @return array{float, list<ChordSymbol>} the chance that root, third and seventh are the chosen one's, and what it may be as well
     */
    private function doubts(array $scores, int $chosen, Key $key): array
    {
        arsort($scores);
        $weights = array_map(static fn (float $score): float => exp(self::SHARPNESS * ($score - $scores[$chosen])), $scores);
        $kin = array_filter(
            $weights,
            fn (int $other): bool => $this->candidates[$other]->isKin($this->candidates[$chosen]),
            ARRAY_FILTER_USE_KEY,
        );
        unset($scores[$chosen]);

        return [
            array_sum($kin) / array_sum($weights),
            array_map(
                fn (int $other): ChordSymbol => $this->candidates[$other]->symbol($key),
                array_slice(array_keys($scores), 0, self::OTHERS),
            ),
        ];
    }

    /**
     * Stretches of a bar that have the same chord are one, as sure as the surest of them.
     *
     * @param list<HeardChord> $chords
     *
     * @return list<HeardChord>
     */
    private static function joined(array $chords): array
    {
        $joined = [];
        foreach ($chords as $chord) {
            $last = $joined[count($joined) - 1] ?? null;
            if ($last !== null && $last->bar === $chord->bar && $last->chord->text() === $chord->chord->text()) {
                $surer = $last->chance >= $chord->chance ? $last : $chord;
                array_pop($joined);
                $chord = new HeardChord(
                    $chord->bar,
                    [...$last->spans, ...$chord->spans],
                    $chord->chord,
                    $surer->chance,
                    $surer->others,
                    $last->bass,
                    $last->part,
                );
            }
            $joined[] = $chord;
        }

        return $joined;
    }
}
