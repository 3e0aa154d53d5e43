<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts\Internal;

use Gravik\Listening\Chords\ChordsHeard;
use Gravik\Listening\Chords\HeardChord;
use Gravik\Listening\Drafts\HeardPart;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\FeelWords;

/**
 * Says of a draft what was heard and how sure it is.
 *
 * @internal used by Drafter
 */
final readonly class HeardParts
{
    /** Blocks of the form that are told. */
    private const TOLD = 12;

    /** Of so many grips all strings are right. */
    private const GRIPS_RIGHT = 0.55;

    /**
     * @param list<Block>       $blocks
     * @param list<ChordsHeard> $heard  of each section
     * @param int               $grips  that were found
     */
    public function __construct(
        private FeelReading $reading,
        private array $blocks,
        private array $heard,
        private SectionPatterns $patterns,
        private int $grips,
    ) {}

    /** @return list<HeardPart> */
    public function all(): array
    {
        $chords = array_merge([], ...array_map(static fn (ChordsHeard $section): array => $section->chords, $this->heard));

        return [
            $this->form(),
            $this->tempo(),
            $this->feel(),
            $this->strokes(),
            $this->key($chords),
            $this->chords($chords),
            $this->grips($chords),
        ];
    }

    private function form(): HeardPart
    {
        $sections = count($this->heard);
        $again = count($this->blocks) - $sections;

        return new HeardPart(
            'Form',
            sprintf(
                '%s, %d bars',
                implode(' ', array_map(
                    static fn (Block $block): string => chr(ord('A') + $block->section % 26),
                    array_slice($this->blocks, 0, self::TOLD),
                )).(count($this->blocks) > self::TOLD ? ' …' : ''),
                array_sum(array_column($this->blocks, 'bars')),
            ),
            $again > 0 ? 0.9 : 0.5,
            match (true) {
                $again === 0 => 'Nothing comes again, so where sections begin is a guess.',
                $again === 1 => 'One stretch comes again.',
                default => "Stretches come again {$again} times.",
            },
        );
    }

    private function tempo(): HeardPart
    {
        return new HeardPart(
            'Tempo',
            sprintf('%d bpm in %s', (int) $this->reading->tempo()->bpm, $this->reading->meter->text()),
            max(0.3, min(1.0, 1 - $this->reading->scatterMs() / 60)),
            sprintf('The strokes lie within %d ms of its slots.', (int) round($this->reading->scatterMs())),
        );
    }

    private function feel(): HeardPart
    {
        $feel = $this->reading->feel() ?? $this->reading->leaning();
        $swing = $this->reading->swing;

        return $feel === null
            ? new HeardPart('Feel', 'not told', 0.0, 'Every stroke lies on a beat: the feel stays as it was.')
            : new HeardPart('Feel', FeelWords::of($feel, $this->reading->tempo()), $swing?->isSure() === true ? 0.9 : 0.5, $swing === null
                ? 'No off-beat has both its neighbours: told from where the off-beats lie.'
                : sprintf('From %d pairs of strokes.', $swing->pairs()));
    }

    private function strokes(): HeardPart
    {
        return new HeardPart(
            'Strokes',
            CountLine::write($this->patterns->patterns[0]->pattern),
            $this->patterns->strokes / max(1, $this->patterns->heard),
            sprintf('%d of the %d strokes heard lie on the pattern of their section.', $this->patterns->strokes, $this->patterns->heard),
        );
    }

    /** @param list<HeardChord> $chords */
    private function key(array $chords): HeardPart
    {
        $key = $this->heard[0]->key;
        $home = count(array_filter($chords, static fn (HeardChord $chord): bool => in_array(
            ($chord->chord->rootPitchClass() - $key->tonic->pitchClass() + 12) % 12,
            $key->mode->steps(),
            true,
        )));

        return new HeardPart(
            'Key',
            $key->text(),
            $home / max(1, count($chords)),
            sprintf(
                '%d of %d chords stand on its notes. A relative key has the same ones: change it if it is that.',
                $home,
                count($chords),
            ),
        );
    }

    /** @param list<HeardChord> $chords */
    private function chords(array $chords): HeardPart
    {
        $unsure = count(array_filter($chords, static fn (HeardChord $chord): bool => ! $chord->isSure()));
        $names = array_values(array_unique(array_map(static fn (HeardChord $chord): string => $chord->chord->text(), $chords)));

        return new HeardPart(
            'Chords',
            implode(' ', array_slice($names, 0, 8)).(count($names) > 8 ? ' …' : ''),
            array_sum(array_column($chords, 'chance')) / max(1, count($chords)),
            $unsure === 0 ? 'All are sure.' : sprintf('%d of %d are marked unsure, with what else they may be.', $unsure, count($chords)),
        );
    }

    /** @param list<HeardChord> $chords */
    private function grips(array $chords): HeardPart
    {
        return new HeardPart(
            'Grips',
            $this->grips === 1 ? 'one pinned' : "{$this->grips} pinned",
            self::GRIPS_RIGHT * $this->grips / max(1, count($chords)),
            'By the strings that sounded; an octave doubled in a grip is easily missed.',
        );
    }
}
