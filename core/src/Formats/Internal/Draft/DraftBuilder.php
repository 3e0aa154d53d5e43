<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\Texture;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Chart\VoicingLine;
use Gravik\CoreException;
use Gravik\Formats\Draft;
use Gravik\Formats\Failure\NothingToDraft;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\FretRange;
use Gravik\Neck\Line\PathWishes;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/**
 * Makes a breakdown of a song that another file tells: sections with their chords, the rhythm most bars have as its
 * pattern and the others in their bars, grips pinned where strings and frets are told.
 *
 * @internal used by the readers of drafts
 */
final readonly class DraftBuilder
{
    private const LONGEST_SECTION = 32;

    private const MOST_BARS = 400;

    private const TEMPO = 100.0;

    private const GUITAR = 'guitar';

    /** @throws NothingToDraft */
    public static function build(DraftSong $song): Draft
    {
        $unread = $song->unread;
        $bars = array_slice($song->bars, 0, self::MOST_BARS);
        if (count($song->bars) > self::MOST_BARS) {
            $unread[] = sprintf('bars %d to %d: a written song has at most %d bars', self::MOST_BARS + 1, count($song->bars), self::MOST_BARS);
        }
        $has = array_filter($bars, static fn (DraftBar $bar): bool => $bar->strokes !== [] || array_filter($bar->chords, static fn (array $each): bool => $each[1] !== '') !== []);
        if ($has === []) {
            throw new NothingToDraft();
        }
        $meter = $bars[0]->meter;
        $grips = DraftGrips::of($bars);
        $bars = $grips->bars;
        // What leaves its grip is a figure of its own; the rhythms are those of the other bars.
        $plain = array_map(
            static fn (DraftBar $bar): DraftBar => self::leaves($bar) ? $bar->struck([]) : $bar,
            $bars,
        );
        $sections = self::sections($bars);
        $inSection = array_merge([], ...array_map(static fn (array $each): array => range(0, $each[3] - 1), $sections));
        $rhythms = DraftRhythms::of($plain, $meter, $inSection);
        [$distinct, $form, $placed] = self::merged($sections, $bars);
        $tuning = $song->tuning ?? Tuning::standard();
        $key = self::key($song->key, $unread);
        $figures = self::figures($bars, $placed, $key, $tuning->strings());
        $breakdown = new Breakdown(
            self::title($song->title),
            '',
            mb_substr($song->notes, 0, 4000),
            new Setting($key, $meter, new Tempo(min(400.0, max(20.0, $song->tempo ?? self::TEMPO))), $song->feel ?? Feel::straight()),
            new Neck($tuning, $song->capo),
            $distinct,
            $form,
            self::patterns($rhythms, $bars, $meter),
            [new VoicingLine('l1', '', Company::WithBass, new PathWishes(window: FretRange::parse('0-15')), self::pins($song, $bars, $grips, $placed, $tuning->strings()))],
            [new BandPart(self::GUITAR, Instrument::Guitar)],
            [new Pass('1')],
            self::cells($rhythms, $placed),
            figures: array_column($figures, 'figure'),
            played: array_column($figures, 'placed'),
        );
        $strokes = array_sum(array_map(static fn (DraftBar $bar): int => count($bar->strokes), $bars));

        return new Draft($breakdown, array_values(array_filter([
            count($bars).' bars in '.count($distinct).(count($distinct) === 1 ? ' section' : ' sections'),
            count($breakdown->written()->chords).' chords',
            $strokes === 0 ? null : sprintf('%d strokes, %d rhythms told apart', $strokes, count($rhythms->patterns)),
            $figures === [] ? null : count($figures).' bars with notes of their own, as figures',
            $breakdown->lines[0]->pins === [] ? null : count($breakdown->lines[0]->pins).' grips on their strings and frets',
            $song->key === null ? null : 'the key, '.$breakdown->start->key->text(),
            $song->tempo === null ? null : sprintf('the tempo, %g', $breakdown->start->tempo->bpm),
            $song->feel === null ? null : sprintf('the swing, %.2f to 1', $song->feel->ratio),
        ])), $unread);
    }

    private static function title(string $title): string
    {
        $clean = trim((string) preg_replace('/\s+/u', ' ', $title));

        return $clean === '' ? 'Untitled' : mb_substr($clean, 0, 120);
    }

    /** @param list<string> $unread */
    private static function key(?string $key, array &$unread): Key
    {
        try {
            return Key::parse($key ?? 'C major');
        } catch (CoreException) {
            $unread[] = "the key “{$key}”: C major is taken";

            return Key::parse('C major');
        }
    }

    /**
     * @param list<DraftBar> $bars
     *
     * @return list<array{string, Meter, int, int}> name, meter, first bar, number of bars
     */
    private static function sections(array $bars): array
    {
        $sections = [];
        $name = 'A';
        $from = 0;
        foreach ($bars as $number => $bar) {
            $next = $bars[$number + 1] ?? null;
            $name = $bar->section === null || trim($bar->section) === '' ? $name : mb_substr(trim($bar->section), 0, 40);
            if ($next === null || $next->section !== null || ! $next->meter->equals($bar->meter) || $number - $from + 1 >= self::LONGEST_SECTION) {
                $sections[] = [$name, $bar->meter, $from, $number - $from + 1];
                $from = $number + 1;
            }
        }

        return $sections;
    }

    /**
     * Sections that are written alike are one that comes again.
     *
     * @param list<array{string, Meter, int, int}> $sections
     * @param list<DraftBar>                       $bars
     *
     * @return array{non-empty-list<Section>, non-empty-list<FormEntry>, list<array{string, int, int}>} the last: id, first bar, bars of each
     */
    private static function merged(array $sections, array $bars): array
    {
        $known = $distinct = $entries = $placed = [];
        $song = $bars[0]->meter;
        foreach ($sections as [$name, $meter, $from, $count]) {
            $these = array_slice($bars, $from, $count);
            $line = self::line($these);
            $same = serialize([$name, $line, $meter->text(), array_map(static fn (DraftBar $bar): array => $bar->strokes, $these)]);
            if (! isset($known[$same]) && count($distinct) < Breakdown::MOST['sections']) {
                $known[$same] = 's'.(count($distinct) + 1);
                $distinct[] = new Section($known[$same], $name, $line, meter: $meter->equals($song) ? null : $meter);
                $placed[] = [$known[$same], $from, $count];
            }
            if (isset($known[$same])) {
                $last = array_pop($entries);
                if ($last !== null && $last->section === $known[$same] && $last->times < FormEntry::MOST_TIMES) {
                    $entries[] = new FormEntry($last->section, $last->times + 1);
                } else {
                    array_push($entries, ...$last === null ? [] : [$last], ...[new FormEntry($known[$same])]);
                }
            }
        }
        if ($distinct === [] || $entries === []) {
            throw new NothingToDraft();
        }

        return [$distinct, $entries, $placed];
    }

    /** @param list<DraftBar> $bars */
    private static function line(array $bars): string
    {
        $written = [];
        $sounding = '';
        foreach ($bars as $bar) {
            $beats = array_fill(0, $bar->meter->beats(), '/');
            $beats[0] = $sounding === '' ? 'N.C.' : $sounding;
            foreach ($bar->chords as [$tick, $symbol]) {
                $beat = min(count($beats) - 1, (int) round($tick / $bar->meter->beatTicks()));
                $sounding = $symbol;
                $beats[$beat] = $symbol === '' ? 'N.C.' : $symbol;
            }
            $alone = array_filter(array_slice($beats, 1), static fn (string $each): bool => $each !== '/') === [];
            $written[] = $alone ? $beats[0] : implode(' ', $beats);
        }

        return '| '.implode(' | ', $written).' |';
    }

    /**
     * @param list<DraftBar> $bars
     *
     * @return non-empty-list<NamedPattern>
     */
    private static function patterns(DraftRhythms $rhythms, array $bars, Meter $meter): array
    {
        $patterns = $rhythms->patterns;
        $meters = array_map(static fn (NamedPattern $each): string => $each->pattern->meter->text(), $patterns);
        foreach ($bars as $bar) {
            if (! in_array($bar->meter->text(), $meters, true)) {
                $meters[] = $bar->meter->text();
                $patterns[] = new NamedPattern(
                    'p'.(count($patterns) + 1),
                    '',
                    new Pattern($bar->meter, $bar->meter->barTicks(), [new Stream('strum', [])]),
                );
            }
        }

        return $patterns === []
            ? [new NamedPattern('p1', '', new Pattern($meter, $meter->barTicks(), [new Stream('strum', [])]))]
            : $patterns;
    }

    /**
     * @param list<array{string, int, int}> $placed
     *
     * @return list<Cell>
     */
    private static function cells(DraftRhythms $rhythms, array $placed): array
    {
        $cells = [];
        foreach ($placed as [$section, $from, $count]) {
            $byPattern = [];
            for ($bar = 0; $bar < $count; $bar++) {
                $pattern = $rhythms->byBar[$from + $bar] ?? null;
                if ($pattern !== null && $pattern !== $rhythms->usual) {
                    $byPattern[$pattern][] = $bar;
                }
            }
            foreach ($byPattern as $pattern => $bars) {
                $cells[] = new Cell(self::GUITAR, $section, pattern: $pattern, bars: $bars, texture: Texture::Written);
            }
        }

        return array_slice($cells, 0, Breakdown::MOST['cells']);
    }

    /**
     * A chord's grip is what is struck while it sounds, string by string; else what the file defines for it.
     *
     * @param list<DraftBar>                $bars
     * @param list<array{string, int, int}> $placed
     *
     * @return list<Pin>
     */
    private static function pins(DraftSong $song, array $bars, DraftGrips $grips, array $placed, int $strings): array
    {
        $pins = [];
        foreach ($placed as [$section, $from, $count]) {
            for ($inSection = 0; $inSection < $count; $inSection++) {
                $bar = $bars[$from + $inSection];
                foreach ($bar->chords as [$tick, $symbol]) {
                    $frets = self::frets($grips->under($from + $inSection, $tick), $strings) ?? $song->grips[$symbol] ?? null;
                    $beat = $bar->meter->beatTicks();
                    if ($symbol !== '' && $frets !== null && count($frets) === $strings) {
                        $pins[] = new Pin(
                            new Place($section, null, $inSection, (int) round($tick / $beat) * $beat),
                            ChordSymbol::parse($symbol)->text(),
                            $frets,
                        );
                    }
                }
            }
        }

        return $pins;
    }

    /**
     * @param array<int, int> $grip string => fret
     *
     * @return ?list<int|null> from the lowest string up; null where fewer than two strings are told
     */
    private static function frets(array $grip, int $strings): ?array
    {
        return count($grip) < 2 ? null : array_map(static function (int $string) use ($grip): ?int {
            $fret = $grip[$string] ?? null;

            return $fret === null || $fret < 0 || $fret > FigureNote::HIGHEST_FRET ? null : $fret;
        }, range($strings, 1));
    }

    private static function leaves(DraftBar $bar): bool
    {
        return array_filter($bar->strokes, static fn (DraftStroke $stroke): bool => $stroke->off) !== [];
    }

    /**
     * Bars that leave their grips, each a figure of one bar; those alike are one.
     *
     * @param list<DraftBar>                $bars
     * @param list<array{string, int, int}> $placed
     *
     * @return list<array{figure: Figure, placed: PlacedFigure}>
     */
    private static function figures(array $bars, array $placed, Key $key, int $strings): array
    {
        $figures = [];
        foreach ($placed as [$section, $from, $count]) {
            for ($bar = 0; $bar < $count && count($figures) < Breakdown::MOST['figures']; $bar++) {
                $told = $bars[$from + $bar];
                $symbol = self::sounding($bars, $from + $bar);
                if ($symbol !== '' && self::leaves($told)) {
                    $figure = self::figure('f'.(count($figures) + 1), 'bar '.($from + $bar + 1), $told, $symbol, $key, $strings);
                    $figures[] = ['figure' => $figure, 'placed' => new PlacedFigure(
                        $figure,
                        new Place($section, null, $bar, 0),
                        fixed: self::fixed($figure),
                    )];
                }
            }
        }

        return $figures;
    }

    /** @return list<FixedNote> every note where it was read, whatever the rule would say */
    private static function fixed(Figure $figure): array
    {
        $fixed = [];
        foreach ($figure->notes[0] ?? [] as $place => $notes) {
            foreach ($notes as $note) {
                $tick = $figure->pattern->streams[0]->strokes[$place]->at;
                $fixed[] = new FixedNote(0, $tick, $note->string, $note->string, $note->fret);
            }
        }

        return $fixed;
    }

    private static function figure(string $id, string $name, DraftBar $bar, string $symbol, Key $key, int $strings): Figure
    {
        $strokes = $notes = [];
        foreach ($bar->strokes as $told) {
            $stroke = DraftRhythms::stroke($told, 0, $bar->meter);
            if (array_filter($strokes, static fn (Stroke $each): bool => $each->at >= $stroke->at) === []) {
                $strokes[] = $stroke;
                $fretted = array_filter($told->frets, static fn (int $fret, int $string): bool => $string <= $strings
                    && $fret >= 0 && $fret <= FigureNote::HIGHEST_FRET, ARRAY_FILTER_USE_BOTH);
                $notes[] = array_map(static fn (int $string, int $fret): FigureNote => new FigureNote($string, $fret), array_keys($fretted), $fretted);
            }
        }

        return new Figure(
            $id,
            $name,
            new Pattern($bar->meter, $bar->meter->barTicks(), [new Stream('line', $strokes)]),
            [array_filter($notes, static fn (array $each): bool => $each !== [])],
            ChordSymbol::parse($symbol),
            $key,
        );
    }

    /**
     * The chord that sounds where a bar begins, or first in it.
     *
     * @param list<DraftBar> $bars
     */
    private static function sounding(array $bars, int $bar): string
    {
        if (($bars[$bar]->chords[0][0] ?? 1) === 0) {
            return $bars[$bar]->chords[0][1];
        }
        for ($before = $bar - 1; $before >= 0; $before--) {
            $chords = $bars[$before]->chords;
            if ($chords !== []) {
                return $chords[count($chords) - 1][1];
            }
        }

        return $bars[$bar]->chords[0][1] ?? '';
    }
}
