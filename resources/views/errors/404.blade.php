@include('errors.page', ['title' => 'Nothing is here', 'what' => 'The address is wrong, or the job belongs to another crew. Open it from the list of jobs.'])
