<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Quote;
use Gravik\Strokes\Failure\TwoStrokesAtOnce;

/** One line of strokes with its own rhythm: thumb bass, brushes, a line, shells. */
final readonly class Stream
{
    /** @var list<Stroke> in order of time */
    public array $strokes;

    /** @param list<Stroke> $strokes at most one at a tick */
    public function __construct(public string $name, array $strokes)
    {
        usort($strokes, static fn (Stroke $a, Stroke $b): int => $a->at <=> $b->at);
        foreach (array_slice($strokes, 1) as $place => $stroke) {
            if ($stroke->at === $strokes[$place]->at) {
                throw new TwoStrokesAtOnce($stroke->at, Quote::short($name));
            }
        }
        $this->strokes = $strokes;
    }

    /** A second line as it begins: the bass under the first. */
    public static function second(): self
    {
        return new self('bass', []);
    }

    /**
     * How its strokes are mostly struck: where, how and by what. A line without strokes goes by its name.
     *
     * @return array{Zone, Action, PlayedBy}
     */
    public function usualWay(): array
    {
        $ways = [];
        foreach ($this->strokes as $stroke) {
            // Single strings are a stroke's own, not its line's.
            $zone = $stroke->strings instanceof Zone ? $stroke->strings : ($stroke->by === PlayedBy::Thumb ? Zone::Bass : Zone::All);
            $key = "{$zone->value} {$stroke->action->value} {$stroke->by->value}";
            $ways[$key] = ['count' => ($ways[$key]['count'] ?? 0) + 1, 'way' => [$zone, $stroke->action, $stroke->by]];
        }
        usort($ways, static fn (array $a, array $b): int => $b['count'] <=> $a['count']);

        return $ways[0]['way'] ?? match (1) {
            preg_match('/thumb/i', $this->name) => [Zone::Bass, Action::Pick, PlayedBy::Thumb],
            preg_match('/bass/i', $this->name) => [Zone::Bass, Action::Pick, PlayedBy::Pick],
            default => [Zone::All, Action::Strum, PlayedBy::Pick],
        };
    }
}
