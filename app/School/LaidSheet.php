<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Gate;
use Gravik\Breakdown\StageKey;
use Gravik\Chart\VoicedForm;
use Gravik\Lesson\NextTempo;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Hand\HandPlan;
use Gravik\Time\Tempo;

/** What lies on the stand while one stage is practised. */
final readonly class LaidSheet
{
    /**
     * @param ?StageKey        $stage  null for the whole song
     * @param string           $say    its cue; '' where there is none
     * @param list<int>        $tempos of its ladder, the slowest first
     * @param int              $bars   of a cycle
     * @param int              $level  to which the pattern is thinned, 1 to 3
     * @param ?array{int, int} $loop   bars that go round, from 0, both included; null for all
     * @param list<VoicedForm> $grips  by line
     */
    public function __construct(
        public Breakdown $breakdown,
        public Desk $desk,
        public ?StageKey $stage,
        public string $stageName,
        public string $say,
        public Tempo $tempo,
        public NextTempo $next,
        public array $tempos,
        public int $bars,
        public int $level,
        public ?array $loop,
        public Gate $gate,
        public Timeline $timeline,
        public HandPlan $hand,
        public array $grips,
    ) {}
}
