<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Timbre;
use Gravik\Band\Way;
use Gravik\Breakdown\Texture;
use Gravik\Tests\Support\Examples;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

/** The schema of an answer as JSON Schema: references kept, "nullable" spelled as a type, no field that is not described. */
function answerSchema(string $path, string $method, int $status): array
{
    $api = json_decode((string) file_get_contents(resource_path('schema/openapi.json')), true);
    $spell = static function (array $schema) use (&$spell, $api): array {
        foreach ($schema as $name => $value) {
            if (is_array($value)) {
                $schema[$name] = $spell($value);
            }
        }
        if (is_string($schema['$ref'] ?? null)) {
            $schema['$ref'] = str_replace('#/components/schemas/', '#/$defs/', $schema['$ref']);
        }
        if (($schema['nullable'] ?? null) === true) {
            unset($schema['nullable']);
            $schema = ! isset($schema['type'])
                ? ['anyOf' => [$schema, ['type' => 'null']]]
                : ['type' => [$schema['type'], 'null']] + $schema;
        }
        if (count($schema['allOf'] ?? []) > 1) {
            // What is put together is checked as one, so that nothing more may be sent.
            $parts = array_map(
                static fn (array $part): array => isset($part['$ref']) ? $api['components']['schemas'][basename($part['$ref'])] : $part,
                $schema['allOf'],
            );
            $schema = $spell([
                'type' => 'object',
                'required' => array_merge(...array_column($parts, 'required')),
                'properties' => array_merge(...array_column($parts, 'properties')),
            ]);
        }
        if (isset($schema['properties']) && is_array($schema['properties']) && ! isset($schema['additionalProperties'])) {
            $schema['additionalProperties'] = false;
        }

        return $schema;
    };

    return $spell(
        $api['paths'][$path][$method]['responses'][(string) $status]['content']['application/json']['schema'] ?? throw new LogicException(
            "{$method} {$path} is not described",
        ),
    )
        + ['$defs' => array_map($spell, $api['components']['schemas'])];
}

it('answers as the published description says', function (string $method, string $path, array $body, int $status): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved(
        $teacher,
        ['pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Gm', 'frets' => [3, 5, 5, 3, 3, 3]]]],
    );
    $this->actingAs($teacher)->postJson(
        "/api/breakdowns/{$breakdown->id}/takes",
        [
            'id' => $this->newId(),
            'tempo' => 120,
            'bars' => 4,
            'taps' => [['t' => 0.01, 'key' => 'down'], 0.51, 1.0, 1.5, 2.0, 2.5, 3.0],
            'latency_ms' => null,
        ],
    )->assertCreated();
    $body = array_map(fn (mixed $value): mixed => $value === 'NEW ID' ? $this->newId() : $value, $body);
    $answer = $this->json(
        $method,
        str_replace(['{id}', '{device}'], [$breakdown->id, 'tablet'], $path),
        $body,
    )->assertStatus($status)->json();
    $result = (new Validator())->validate(Helper::toJSON($answer), (string) json_encode(answerSchema($path, strtolower($method), $status)));

    expect($result->isValid() ? '' : json_encode((new ErrorFormatter())->format($result->error())))->toBe('');
})->with([
    ['GET', '/api/session', [], 200],
    ['GET', '/api/choices', [], 200],
    ['GET', '/api/starts', ['key' => 'E♭ minor'], 200],
    ['GET', '/api/breakdowns', [], 200],
    ['POST', '/api/breakdowns', ['document' => Examples::document(), 'sitting' => 'one'], 201],
    ['GET', '/api/breakdowns/{id}', [], 200],
    ['PUT', '/api/breakdowns/{id}', ['document' => Examples::document(), 'revision' => 1, 'sitting' => 'one'], 200],
    ['GET', '/api/breakdowns/{id}/versions', [], 200],
    ['GET', '/api/breakdowns/{id}/takes', [], 200],
    ['POST', '/api/breakdowns/{id}/takes', ['id' => 'NEW ID', 'tempo' => 120, 'bars' => 4, 'taps' => [], 'latency_ms' => 10], 201],
    ['GET', '/api/calibrations/{device}', [], 200],
    ['PUT', '/api/calibrations/{device}', ['clicks' => range(0, 15), 'taps' => range(0, 15)], 200],
    [
        'POST',
        '/api/compute/chart',
        ['document' => Examples::document(['sections' => [['name' => 'A', 'line' => '| Dm/C | N.C. | Hm | % |']]])],
        200,
    ],
    ['POST', '/api/compute/voicings', ['symbol' => 'C9', 'company' => 'with-bass'], 200],
    ['POST', '/api/compute/name', ['frets' => [null, 7, 8, 7, 8, null], 'key' => 'F major'], 200],
    ['POST', '/api/compute/name', ['frets' => [0, 1, 2, 3, 4, 5]], 200],
    ['POST', '/api/compute/path', ['document' => Examples::document(['tuning' => 'open-g'])], 200],
    ['POST', '/api/compute/neck-map', ['document' => Examples::document(), 'symbol' => 'V7', 'position' => 5], 200],
    ['POST', '/api/compute/path', ['document' => Examples::document(), 'elsewhere' => true], 200],
    ['POST', '/api/compute/strokes', ['document' => Examples::document()], 200],
    ['POST', '/api/compute/timeline', ['document' => Examples::document([], 'Xxcg.xx.')], 200],
    ['POST', '/api/compute/key', ['document' => Examples::document(), 'key' => 'F minor'], 200],
    ['POST', '/api/compute/shape', ['document' => Examples::document(), 'bars' => 2], 200],
]);

it('describes every route there is', function (): void {
    $described = array_keys(json_decode((string) file_get_contents(resource_path('schema/openapi.json')), true)['paths']);
    foreach (Illuminate\Support\Facades\Route::getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/')) {
            expect($described)->toContain('/'.str_replace('{breakdown}', '{id}', $route->uri()));
        }
    }
});

it('names every kind of the band in the schema of the document', function (string $of, string $field, string $kinds): void {
    $schema = json_decode((string) file_get_contents(resource_path('schema/breakdown-2.json')), true);
    $named = $schema['$defs'][$of]['properties'][$field]['enum'];
    $known = array_column($kinds::cases(), 'value');

    expect($named)->toEqualCanonicalizing($known);
})->with([
    ['Part', 'instrument', Instrument::class],
    ['Part', 'plays', Way::class],
    ['Part', 'sound', Timbre::class],
    ['Cell', 'role', Role::class],
    ['Cell', 'texture', Texture::class],
]);
