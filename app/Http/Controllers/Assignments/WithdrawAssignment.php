<?php

declare(strict_types=1);

namespace App\Http\Controllers\Assignments;

use App\Http\Controllers\Controller;
use App\Models\Assignment;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class WithdrawAssignment extends Controller
{
    #[OA\Delete(path: '/api/assignments/{assignment}', summary: 'Take work back; takes of it stay', parameters: [
        new OA\PathParameter(name: 'assignment', schema: new OA\Schema(type: 'integer')),
    ], responses: [new OA\Response(response: 204, description: 'withdrawn')])]
    public function __invoke(Assignment $assignment): Response
    {
        $assignment->delete();

        return new Response('', 204);
    }
}
