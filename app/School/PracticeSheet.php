<?php

declare(strict_types=1);

namespace App\School;

use App\Compute\StagedSongs;
use App\Compute\VoicedForms;
use App\Documents\BreakdownStore;
use App\Models\Breakdown;
use App\Models\Take;
use App\Models\User;
use Gravik\Breakdown\Breakdown as Song;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Lesson\Ladder;
use Gravik\Lesson\LadderPlanner;
use Gravik\Lesson\LadderStep;
use Gravik\Lesson\LessonException;
use Gravik\Lesson\NextTempo;
use Gravik\Lesson\Steps\LessonPlanner;
use Gravik\Lesson\UsualPractice;
use Gravik\Performance\Performer;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Time\Tempo;

/** All that is needed to practise one stage, or the whole song, without asking anything more: to be kept on a device. */
final readonly class PracticeSheet
{
    public function __construct(
        private BreakdownStore $store,
        private VoicedForms $voiced,
        private StagedSongs $songs,
        private Performer $performer,
        private LessonPlanner $planner,
        private HandPlanner $hands,
    ) {}

    /**
     * @param Breakdown $breakdown as its player knows it
     * @param ?StageKey $stage null for the whole song
     * @param ?Tempo    $tempo null: where its ladder goes on
     * @param bool      $hurts the player's hand, today: then it does not climb
     */
    public function of(Breakdown $breakdown, User $player, ?StageKey $stage, ?Tempo $tempo, bool $hurts): LaidSheet
    {
        $song = $this->store->document($breakdown);
        $lesson = $stage === null ? null : $this->planner->plan($song, $this->voiced->all($song));
        $told = $stage === null ? null : $lesson->told($lesson->plan->stage($stage));
        $ladder = $told === null ? self::overAll($song) : $lesson->climb($told);
        $tempos = $ladder === null ? [(int) round($song->start->tempo->bpm)] : array_values(array_unique(array_map(
            static fn (LadderStep $step): int => $step->bpm,
            $ladder->steps,
        )));
        sort($tempos);
        $next = NextTempo::after($tempos, self::lastTakes($breakdown, $player, $stage), ! $hurts);
        $tempo ??= new Tempo((float) $next->tempo);
        $staged = $this->songs->of($song, $stage);
        $forms = $this->voiced->all($staged->breakdown);
        $desk = Desk::of($staged->breakdown);

        return new LaidSheet(
            $breakdown,
            $desk,
            $stage,
            $told->name ?? 'the whole song',
            $told === null ? '' : $lesson->advice($told)->say,
            $tempo,
            $next,
            $tempos,
            $ladder->steps[0]->bars ?? (new UsualPractice())->bars,
            $staged->level,
            $staged->loop,
            $song->gate($stage ?? new StageKey(Stage::usual())),
            $this->performer->perform($staged->breakdown, $tempo, $forms, $staged->level),
            $told?->hand() ?? $this->hands->plan($desk->pattern(), $desk->school(), $desk->ruler($tempo), $desk->setting->feel),
            array_values($forms),
        );
    }

    /** @return list<array{tempo: float, passed: bool}> the newest first */
    private static function lastTakes(Breakdown $breakdown, User $player, ?StageKey $stage): array
    {
        $takes = Take::query()->where('breakdown_id', $breakdown->id)->where('player_id', $player->id)->where('stage', $stage?->text() ?? '');
        $takes->latest()->latest('id')->limit(2);

        return array_values($takes->get(['id', 'tempo', 'passed'])->map(
            static fn (Take $take): array => ['tempo' => $take->tempo, 'passed' => $take->passed],
        )->all());
    }

    private static function overAll(Song $song): ?Ladder
    {
        $usual = new UsualPractice();
        $goal = $song->start->tempo;

        try {
            return (new LadderPlanner())->plan(
                new Tempo(max(Tempo::SLOWEST, round($usual->startShare * $goal->bpm))),
                $goal,
                $usual->minutes,
                $song->start->meter,
                bars: $usual->bars,
            );
        } catch (LessonException) {
            return null;
        }
    }
}
