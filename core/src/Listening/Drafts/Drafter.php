<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Mark;
use Gravik\Breakdown\Marked;
use Gravik\Breakdown\MarkedValue;
use Gravik\Breakdown\MarkKind;
use Gravik\Breakdown\Pass;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Listening\Chords\ChordReader;
use Gravik\Listening\Chords\ChordsHeard;
use Gravik\Listening\Chords\HeardChord;
use Gravik\Listening\Chords\HeldGrips;
use Gravik\Listening\Drafts\Internal\Block;
use Gravik\Listening\Drafts\Internal\FormFinder;
use Gravik\Listening\Drafts\Internal\HeardParts;
use Gravik\Listening\Drafts\Internal\Misgivings;
use Gravik\Listening\Drafts\Internal\SectionPatterns;
use Gravik\Listening\Failure\TooFewBarsForDraft;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Feel\PlacedStroke;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Statistics;
use Gravik\Neck\Company;
use Gravik\Neck\Grip\Voicing;
use Gravik\Time\Tempo;

/**
 * Makes a breakdown of a recording of comping: its form by what comes again, its tempo and feel, a pattern for each section, chords
 * read from all times a bar comes together, and the grips they were probably held in. Guitar, band and words stay those of the
 * breakdown it is drafted into.
 */
final readonly class Drafter
{
    private const FEWEST_BARS = 2;

    /** A section whose tempo differs by this share has one of its own. */
    private const OTHER_TEMPO = 0.03;

    public function __construct(private ChordReader $reader = new ChordReader(), private FormFinder $forms = new FormFinder()) {}

    /**
     * @param Breakdown $into that gives guitar and band
     * @param Company   $company with a bass player the grips may leave out the root
     * @param ?Key      $key     where it is known
     *
     * @throws ListeningException where fewer than two bars were played
     */
    public function draft(FeelReading $reading, NotesHeard $notes, Breakdown $into, Company $company, ?Key $key = null): HeardDraft
    {
        $bars = self::bars($reading);
        $into = (new PatternChanger())->meter($into, $reading->meter);
        if (count($bars) < self::FEWEST_BARS) {
            throw new TooFewBarsForDraft(count($bars), self::FEWEST_BARS);
        }
        $alone = $this->reader->read($notes, array_map(
            static fn (array $parts): array => array_map(static fn (array $span): array => [$span], $parts),
            $bars,
        ), $company, $key);
        $blocks = $this->forms->find(self::held($alone, $bars));
        $times = self::times($blocks);
        $heard = $this->together($times, $notes, $bars, $company, $key ?? $alone->key);
        $start = new Setting(
            $heard[0]->key ?? $alone->key,
            $reading->meter,
            $reading->tempo(),
            $reading->feel() ?? $reading->leaning() ?? $into->start->feel,
        );
        $patterns = SectionPatterns::of($reading, $times, $into->patterns[0]);
        $grips = new HeldGrips($into->neck, $company);
        [$sections, $pins, $marks] = $this->written($heard, $times, $reading, $notes, $grips);
        $song = new Breakdown(
            $into->title,
            $into->genre,
            $into->notes,
            $start,
            $into->neck,
            $sections,
            self::form($blocks),
            $patterns->patterns,
            [$into->lines[0]->with(pins: $pins, company: $company)],
            $into->parts,
            [new Pass('1')],
            $patterns->cells($into->guitar()->id, self::id(...)),
            setUp: $into->setUp,
            marks: $marks,
        );

        return new HeardDraft(
            $song,
            $song->with(
                start: $into->start->with(key: $start->key),
                sections: array_map(static fn (Section $each): Section => new Section($each->id, $each->name, $each->line), $sections),
                patterns: [$into->patterns[0]],
                cells: [],
            ),
            (new HeardParts($reading, $blocks, $heard, $patterns, count($pins)))->all(),
            $alone,
            array_map(static fn (HeardChord $chord): ?Voicing => $grips->of($chord->chord, $notes, $chord->spans), $alone->chords),
            Misgivings::of($reading, $notes),
        );
    }

    /**
     * The two halves of every bar, or its only part where its beats cannot be halved. A last bar that holds no more than the stroke
     * that ends the song is none.
     *
     * @return list<list<array{float, float}>> seconds from and until
     */
    private static function bars(FeelReading $reading): array
    {
        $beats = $reading->meter->beats();
        $count = 0;
        $played = array_count_values(array_map(static fn (PlacedStroke $stroke): int => $stroke->bar, $reading->strokes));
        foreach ($played as $bar => $strokes) {
            $count = max($count, $strokes > 1 ? $bar + 1 : 0);
        }
        $at = static function (int $beat) use ($reading): float {
            $known = count($reading->beats) - 1;

            return $reading->beats[$beat] ?? $reading->beats[$known] + ($beat - $known) * 60 / $reading->tempoBpm;
        };
        $bars = [];
        for ($bar = 0; $bar < $count; $bar++) {
            $begins = $bar * $beats;
            $cuts = $beats % 2 === 0 ? [$begins, $begins + intdiv($beats, 2), $begins + $beats] : [$begins, $begins + $beats];
            $bars[] = array_map(
                static fn (int $from, int $until): array => [$at($from), $at($until)],
                array_slice($cuts, 0, -1),
                array_slice($cuts, 1),
            );
        }

        return $bars;
    }

    /**
     * @param list<list<array{float, float}>> $bars
     *
     * @return list<list<string>> root and third of what each part of each bar holds
     */
    private static function held(ChordsHeard $heard, array $bars): array
    {
        $held = array_map(static fn (array $parts): array => array_fill(0, count($parts), ''), $bars);
        foreach ($heard->chords as $chord) {
            for ($part = $chord->part; $part < count($bars[$chord->bar]); $part++) {
                $held[$chord->bar][$part] = $chord->chord->root->text().($chord->chord->isMinor() ? 'm' : '');
            }
        }

        return array_map(array_values(...), $held);
    }

    /**
     * @param list<Block> $blocks
     *
     * @return list<non-empty-list<Block>> of each section, all times it comes
     */
    private static function times(array $blocks): array
    {
        $times = [];
        foreach ($blocks as $block) {
            $times[$block->section][] = $block;
        }

        return array_values($times);
    }

    /**
     * The chords of each section, read from all its times at once.
     *
     * @param list<non-empty-list<Block>>     $times
     * @param list<list<array{float, float}>> $bars
     *
     * @return list<ChordsHeard>
     */
    private function together(array $times, NotesHeard $notes, array $bars, Company $company, Key $key): array
    {
        return array_map(function (array $blocks) use ($notes, $bars, $company, $key): ChordsHeard {
            $own = [];
            for ($bar = 0; $bar < $blocks[0]->bars; $bar++) {
                foreach (array_keys($bars[$blocks[0]->from + $bar]) as $part) {
                    $own[$bar][] = array_map(static fn (Block $block): array => $bars[$block->from + $bar][$part], $blocks);
                }
            }

            return $this->reader->read($notes, array_values($own), $company, $key);
        }, $times);
    }

    /**
     * @param list<ChordsHeard> $heard
     * @param list<non-empty-list<Block>> $times
     *
     * @return array{non-empty-list<Section>, list<Pin>, list<Mark>}
     */
    private function written(array $heard, array $times, FeelReading $reading, NotesHeard $notes, HeldGrips $grips): array
    {
        $sections = $pins = $marks = [];
        $names = 0;
        foreach ($heard as $section => $chords) {
            $blocks = $times[$section];
            $isIntro = $section === 0 && count($blocks) === 1 && count($heard) > 1 && count($times[1]) > 1;
            $sections[] = new Section(
                self::id($section),
                $isIntro ? 'Intro' : self::letter($names++),
                self::line($chords, $blocks[0]->bars),
                tempo: self::ownTempo($reading, $blocks),
            );
            foreach ($chords->chords as $chord) {
                $tick = $chord->part * intdiv($reading->meter->barTicks(), 2);
                $place = new Place(self::id($section), null, $chord->bar, $tick);
                $grip = $grips->of($chord->chord, $notes, $chord->spans);
                $pins = $grip === null ? $pins : [...$pins, new Pin($place, $chord->chord->text(), $grip->frets)];
                $marks = $chord->isSure() ? $marks : [...$marks, new Mark(
                    new MarkedValue(Marked::Chord, 'symbol', at: $place),
                    MarkKind::Unsure,
                    implode(', ', array_map(static fn (ChordSymbol $other): string => $other->text(), $chord->others)),
                    sprintf('heard at %d %%', (int) round(100 * $chord->chance)),
                )];
            }
        }
        $sections !== [] || throw new \LogicException('A recording with bars has a section.');

        return [$sections, $pins, array_slice($marks, 0, Breakdown::MOST['marks'])];
    }

    private static function line(ChordsHeard $chords, int $bars): string
    {
        $typed = array_fill(0, $bars, []);
        foreach ($chords->chords as $chord) {
            $typed[$chord->bar][] = $chord->chord->text();
        }

        return '| '.implode(' | ', array_map(static fn (array $bar): string => implode(' ', $bar), $typed)).' |';
    }

    /**
     * @param non-empty-list<Block> $blocks
     *
     * @return ?Tempo null where it is the song's
     */
    private static function ownTempo(FeelReading $reading, array $blocks): ?Tempo
    {
        $tempos = [];
        foreach ($blocks as $block) {
            foreach ($block->own() as $bar) {
                $tempos[] = $reading->barTempos[$bar] ?? $reading->tempoBpm;
            }
        }
        $usual = $tempos === [] ? $reading->tempoBpm : Statistics::median($tempos);

        return abs($usual / $reading->tempoBpm - 1) < self::OTHER_TEMPO
            ? null
            : new Tempo(max((float) Tempo::SLOWEST, min((float) Tempo::FASTEST, round($usual))));
    }

    /**
     * @param list<Block> $blocks
     *
     * @return non-empty-list<FormEntry>
     */
    private static function form(array $blocks): array
    {
        $form = [];
        foreach ($blocks as $block) {
            $last = $form[count($form) - 1] ?? null;
            if ($last !== null && $last->section === self::id($block->section) && $last->times < FormEntry::MOST_TIMES) {
                array_pop($form);
                $form[] = new FormEntry($last->section, $last->times + 1);
            } else {
                $form[] = new FormEntry(self::id($block->section));
            }
        }

        return $form === [] ? [new FormEntry(self::id(0))] : $form;
    }

    private static function id(int $section): string
    {
        return 's'.($section + 1);
    }

    private static function letter(int $number): string
    {
        return chr(ord('A') + $number % 26);
    }
}
