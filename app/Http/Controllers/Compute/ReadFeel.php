<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use Gravik\Time\Feel;
use Gravik\Time\SwingUnit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ReadFeel extends Controller
{
    #[OA\Post(path: '/api/compute/feel', summary: 'A feel typed as a name, a ratio or a share', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['typed', 'unit'], properties: [
        new OA\Property(property: 'typed', type: 'string'),
        new OA\Property(property: 'unit', type: 'string', enum: ['eighth', 'sixteenth']),
    ])), responses: [new OA\Response(response: 200, description: 'computed', content: new OA\JsonContent(required: ['feel'], properties: [
        new OA\Property(property: 'feel', type: 'object'),
    ]))])]
    public function __invoke(Request $request): JsonResponse
    {
        $request->validate(['typed' => ['required', 'string', 'max:40'], 'unit' => ['required', 'in:eighth,sixteenth']], ['typed.*' => 'Type a feel: straight, 2, 3:2 or 62 %.', 'unit.*' => 'Swing lies on eighths or sixteenths.']);
        $feel = Feel::parse($request->string('typed')->toString(), SwingUnit::from($request->string('unit')->toString()));

        return new JsonResponse(['feel' => ['mode' => $feel->mode->value, 'ratio' => $feel->ratio, 'unit' => $feel->unit->value]]);
    }
}
