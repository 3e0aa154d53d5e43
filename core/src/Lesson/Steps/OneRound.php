<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\Playing;
use Gravik\Breakdown\Texture;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;
use Gravik\Chart\VoicedForm;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\Path;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Time\Tempo;

/** One round of a pattern over one grip, as a stage plays it: what pictures and figures of a stage are made of. */
final readonly class OneRound
{
    private const SECTION = 'round';

    /** @param list<PlayedStroke> $strokes of the round */
    private function __construct(public Timeline $timeline, public array $strokes) {}

    /**
     * @param Playing  $playing of the bar it stands for
     * @param ?Voicing $grip    null where the song has no chord yet: then the key's own
     */
    public static function of(Breakdown $staged, Playing $playing, ?Voicing $grip, Tempo $tempo, bool $rings, Performer $performer): self
    {
        $pattern = array_column($staged->patterns, null, 'id')[$playing->pattern->id];
        $bars = $pattern->pattern->bars();
        $guitar = $staged->guitar();
        $symbol = $grip?->chord->text() ?? $staged->start->key->tonic->text();
        // Twice round: what ends the last stroke is the first one of the next round.
        $line = '| '.implode(' | ', [$symbol, ...array_fill(0, 2 * $bars - 1, '%')]).' |';
        $round = $staged->with(
            start: $staged->start->with(meter: $pattern->pattern->meter),
            sections: [new Section(self::SECTION, 'Round', $line)],
            form: [new FormEntry(self::SECTION)],
            patterns: [$pattern],
            lines: [$playing->line->with(pins: [])],
            parts: [$guitar],
            passes: [new Pass('1')],
            cells: $rings ? [new Cell($guitar->id, texture: Texture::Rings)] : [],
            placed: [],
            played: [],
        );
        $voiced = $grip === null ? null : [$playing->line->id => self::held($round, $grip)];
        $timeline = $performer->perform($round, $tempo, $voiced);

        return new self($timeline, array_values(array_filter(
            $timeline->strokes,
            static fn (PlayedStroke $stroke): bool => $stroke->bar < $bars,
        )));
    }

    /** The same grip under every bar. */
    private static function held(Breakdown $round, Voicing $grip): VoicedForm
    {
        $form = $round->written();

        return new VoicedForm($form, new Path(0.0, array_fill(0, count($form->chords), $grip), []), []);
    }
}
