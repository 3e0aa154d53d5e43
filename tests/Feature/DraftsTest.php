<?php

declare(strict_types=1);

use App\Documents\ExportFormat;
use Gravik\Tests\Support\Examples;

it('drafts a breakdown of what was taken as a file, and keeps nothing', function (ExportFormat $format): void {
    $teacher = $this->teacher();
    $kept = $this->shelved($teacher, Examples::document(['title' => 'Low Lamps', 'sections' => [['name' => 'A', 'line' => '| Dm7 | G7 |']]]));
    $bytes = $this->actingAs($teacher)->get("/api/breakdowns/{$kept->id}/export/{$format->value}")->assertOk()->getContent();
    $draft = $this->call('POST', '/api/drafts?name=Low%20Lamps.x', [], [], [], [
        'CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json',
    ], (string) $bytes)->assertOk()->json();

    expect($draft['document']['title'])->toBe('Low Lamps')->and($draft['document']['sections'][0]['line'])->toContain('Dm7')->toContain('G7')
        ->and($draft['read'])->not->toBe([])
        ->and($this->getJson('/api/breakdowns')->json('total'))->toBe(1);
})->with([ExportFormat::MusicXml, ExportFormat::CompressedMusicXml, ExportFormat::ChordPro, ExportFormat::Tab, ExportFormat::Midi, ExportFormat::Json]);

it('refuses what is no file of a kind it reads, and whoever has no shelf', function (): void {
    $post = fn (string $bytes) => $this->call('POST', '/api/drafts', [], [], [], [
        'CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json',
    ], $bytes);
    $this->actingAs($this->teacher());
    expect($post('a letter')->assertUnprocessable()->json('message'))->toContain('Choose a score')
        ->and($post('<score-partwise><part')->assertUnprocessable()->json('message'))->toContain('not a score');
    $this->actingAs($this->student());
    $post('{title: X}')->assertForbidden();
});
