<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Time\Feel;
use Gravik\Time\Ruler;

/** What one picking school makes of a pattern, to be seen beside the others. */
final readonly class SchoolInUse
{
    /** @param list<int> $differs ticks of the strokes that go the other way than in the school chosen now */
    private function __construct(
        public School $school,
        public HandPlan $hand,
        public Crossings $crossings,
        public ?TempoLimit $limit,
        public array $differs,
    ) {}

    /** @return list<self> one for each school */
    public static function all(Pattern $pattern, School $chosen, Ruler $ruler, Feel $feel, HandPlanner $planner = new HandPlanner()): array
    {
        $now = self::directions($planner->plan($pattern, $chosen, $ruler, $feel));

        return array_map(static function (School $school) use ($pattern, $ruler, $feel, $planner, $now): self {
            $hand = $planner->plan($pattern, $school, $ruler, $feel);
            $differs = array_keys(array_filter(
                self::directions($hand),
                static fn (string $direction, string $place): bool => $direction !== $now[$place],
                ARRAY_FILTER_USE_BOTH,
            ));
            $ticks = array_values(array_unique(array_map(static fn (string $place): int => (int) explode(':', $place)[1], $differs)));

            return new self($school, $hand, Crossings::of($hand->pattern->strokes()), TempoLimit::of($hand->pattern), $ticks);
        }, School::cases());
    }

    /** @return array<string, string> "line:tick" => direction */
    private static function directions(HandPlan $hand): array
    {
        $directions = [];
        foreach ($hand->pattern->streams as $line => $stream) {
            foreach ($stream->strokes as $stroke) {
                $directions["{$line}:{$stroke->at}"] = $stroke->direction->value ?? '';
            }
        }

        return $directions;
    }
}
