<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Stage;
use Gravik\Lesson\Backing;
use Gravik\Lesson\LadderWish;
use Gravik\Strokes\Hand\HandPlan;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;

/** A stage with all that a list of stages says of it. */
final readonly class ToldStage
{
    /**
     * @param string           $changes  what is new in it
     * @param LadderWish       $ladder   as it is climbed, each field set
     * @param LadderWish       $usual    as it is proposed, each field set
     * @param ?array{int, int} $loop     bars of the song that go round, from 0, both included; null for all
     * @param string           $proposed what is proposed now, in the words that are remembered when the teacher settles it
     * @param OneRound         $round    of its strokes, at the goal
     */
    public function __construct(
        public PlannedStage $planned,
        public string $name,
        public string $changes,
        public LadderWish $ladder,
        public LadderWish $usual,
        public Backing $backing,
        public ?array $loop,
        public string $proposed,
        public OneRound $round,
    ) {}

    /** What it was settled for, where that is proposed otherwise by now, or no more. */
    public function settledFor(): ?string
    {
        $seen = $this->planned->note->seen;

        return $seen !== null && ($seen !== $this->proposed || ! $this->planned->proposed) ? $seen : null;
    }

    /** One round of it as the hand plays it; where shapes alone are held, one stroke a bar. */
    public function hand(): HandPlan
    {
        $plan = $this->round->timeline->spans[0]->hand->plan;
        if ($this->planned->key->stage !== Stage::Shapes || $this->round->strokes === []) {
            return $plan;
        }
        $meter = $plan->pattern->meter;

        return new HandPlan(new Pattern($meter, $meter->barTicks(), [new Stream('', [$this->round->strokes[0]->stroke])]), [], []);
    }
}
