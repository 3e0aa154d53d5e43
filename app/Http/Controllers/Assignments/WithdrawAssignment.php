<?php

declare(strict_types=1);

namespace App\Http\Controllers\Assignments;

use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Record;
use App\Models\RecordKind;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class WithdrawAssignment extends Controller
{
    #[OA\Delete(path: '/api/assignments/{assignment}', summary: 'Take work back; takes of it stay', parameters: [
        new OA\PathParameter(name: 'assignment', schema: new OA\Schema(type: 'integer')),
    ], responses: [new OA\Response(response: 204, description: 'withdrawn')])]
    public function __invoke(Request $request, Assignment $assignment): Response
    {
        Record::note(
            $this->user($request),
            RecordKind::TookBack,
            "“{$assignment->breakdown->title}” from {$assignment->student->name}",
        );
        $assignment->delete();

        return new Response('', 204);
    }
}
