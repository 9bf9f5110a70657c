@include('errors.problem', ['code' => 404])
