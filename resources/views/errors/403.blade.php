@include('errors.problem', ['code' => 403])
