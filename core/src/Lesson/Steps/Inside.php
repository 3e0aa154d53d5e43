<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\Playing;
use Gravik\Chart\Course;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Stroke;

/** What is really in the guitar's part of a song: only that makes stages. */
final readonly class Inside
{
    /**
     * @param non-empty-list<NamedPattern> $patterns that are played, the one most bars have first
     * @param list<Playing>                $playings one for each bar of the course
     */
    private function __construct(
        public Breakdown $breakdown,
        public Course $course,
        public array $patterns,
        public array $playings,
    ) {}

    public static function of(Breakdown $breakdown): self
    {
        $course = $breakdown->course();
        $playings = $breakdown->playings($course, $breakdown->guitar()->id);
        $byId = [];
        foreach ($playings as $playing) {
            $byId[$playing->pattern->id] = ['pattern' => $playing->pattern, 'bars' => 1 + ($byId[$playing->pattern->id]['bars'] ?? 0)];
        }
        usort($byId, static fn (array $a, array $b): int => $b['bars'] <=> $a['bars']);
        $patterns = array_column($byId, 'pattern');

        return new self($breakdown, $course, $patterns === [] ? [$breakdown->patterns[0]] : $patterns, $playings);
    }

    /** The pattern that most bars have. */
    public function main(): NamedPattern
    {
        return $this->patterns[0];
    }

    /** How a bar in a range of the song is played that has the strokes most of them have. */
    public function mostly(int $from, int $until): Playing
    {
        $byId = $first = [];
        foreach (array_slice($this->playings, $from, $until - $from + 1) as $playing) {
            $byId[$playing->pattern->id] = 1 + ($byId[$playing->pattern->id] ?? 0);
            $first[$playing->pattern->id] ??= $playing;
        }
        arsort($byId);

        return $first[array_key_first($byId) ?? ''] ?? $this->playings[0];
    }

    public function releases(bool $onBackBeats): bool
    {
        return $this->any(static fn (Stroke $stroke, NamedPattern $in): bool => StagedPattern::isReleased($stroke)
            && StagedPattern::isBackBeat($in->pattern, $stroke) === $onBackBeats);
    }

    public function accents(): bool
    {
        return $this->any(StagedPattern::isWeighted(...));
    }

    public function pushes(): bool
    {
        return $this->any(static fn (Stroke $stroke): bool => $stroke->chord === ChordOf::Next);
    }

    public function ornaments(): bool
    {
        return $this->any(static fn (Stroke $stroke): bool => $stroke->ornament !== null);
    }

    /** @return list<PlacedFigure> that the guitar plays */
    public function figures(): array
    {
        $guitar = $this->breakdown->guitar();

        return array_values(array_filter($this->breakdown->played, static fn (PlacedFigure $each): bool => $each->isPlayedBy($guitar)));
    }

    /** @return list<string> what the stage of ornaments brings: slides, pushes, figures, walks */
    public function extras(): array
    {
        return array_keys(array_filter([
            'slides and other ornaments' => $this->ornaments(),
            'pushes' => $this->pushes(),
            'figures' => $this->figures() !== [],
            'moves' => $this->breakdown->placed !== [],
        ]));
    }

    /** @return ?array{bass: string, brushes: string} names of the two lines of the pattern that most bars have */
    public function lines(): ?array
    {
        $streams = $this->main()->pattern->streams;
        $bass = StagedPattern::bassLine($this->main()->pattern);

        return isset($streams[1]) && $streams[0]->strokes !== [] && $streams[1]->strokes !== []
            ? ['bass' => $streams[$bass]->name, 'brushes' => $streams[1 - $bass]->name]
            : null;
    }

    /** @return list<BandPart> */
    public function parts(Instrument ...$instruments): array
    {
        return array_values(array_filter(
            $this->breakdown->parts,
            static fn (BandPart $part): bool => in_array($part->instrument, $instruments, true),
        ));
    }

    /** @return list<BandPart> everybody but the guitar, bass and drums */
    public function others(): array
    {
        return $this->parts(Instrument::SecondGuitar, Instrument::Keys, Instrument::Horns, Instrument::Lead);
    }

    /** @return list<Pass> in which the guitar does something that it did in none before */
    public function newPasses(): array
    {
        $known = [];
        $new = [];
        foreach ($this->breakdown->passes as $pass) {
            $told = $this->told($pass);
            if (! in_array($told, $known, true)) {
                $known[] = $told;
                $new[] = $pass;
            }
        }

        return array_slice($new, 1);
    }

    private function told(Pass $pass): string
    {
        $told = [];
        foreach ($this->course->bars as $number => $bar) {
            if ($this->course->visits[$bar->visit]->pass === $pass->id) {
                $playing = $this->playings[$number];
                $figures = array_map(
                    static fn (PlacedFigure $each): string => $each->figure->id.$each->octave,
                    array_filter($this->figures(), fn (PlacedFigure $each): bool => $each->beginsIn($this->course, $bar)
                        && $each->isPlayedIn($this->course->visits[$bar->visit])),
                );
                $told[] = implode(' ', [$playing->role->value, $playing->pattern->id, $playing->line->id, $playing->level,
                    $playing->texture->value, $playing->dynamic, ...$figures]);
            }
        }

        return implode('|', $told);
    }

    /** @param callable(Stroke, NamedPattern): bool $is */
    private function any(callable $is): bool
    {
        foreach ($this->patterns as $pattern) {
            foreach ($pattern->pattern->strokes() as $stroke) {
                if ($is($stroke, $pattern)) {
                    return true;
                }
            }
        }

        return false;
    }
}
