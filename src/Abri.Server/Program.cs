var x = 1; System.Console.WriteLine(x);
